package penmirror.web.mirror;

import penmirror.core.scoring.BaseScore;
import penmirror.core.telling.RoleWords;

/**
 * A colour in the light beside the nearest of theirs, where the palette is taken over.
 *
 * @param picker theirs in a picker's numbers
 */
record BaseRow(
    String key,
    String name,
    String own,
    String theirs,
    String words,
    String picker,
    boolean misses) {

  static BaseRow of(BaseScore base) {
    return new BaseRow(
        base.tones().role().word(),
        RoleWords.name(base.tones().role()),
        base.tones().tones().base().toEncodedSrgb().hex(),
        base.theirs().toEncodedSrgb().hex(),
        RoleWords.base(base),
        RoleWords.picker(base.theirs()),
        !base.misses().isEmpty());
  }
}
