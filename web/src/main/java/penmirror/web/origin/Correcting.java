package penmirror.web.origin;

import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.FigureEditsJson;
import penmirror.core.format.FormatException;
import penmirror.core.geometry.Point;
import penmirror.core.measure.FigureEdit;
import penmirror.core.reading.RoleColours;
import penmirror.web.evidence.FigureEditStore;
import penmirror.web.evidence.Keeping;
import penmirror.web.evidence.OriginFinder;
import penmirror.web.evidence.RoleStore;
import penmirror.web.studies.Work;

/** Takes the figure's edges as the user corrects them, and the colours picked for roles. */
@Service
class Correcting {
  private static final int LONGEST_ROLE = 40;
  private static final double LARGEST_DISC = 200;

  private final Keeping keeping;
  private final FigureEditStore figureEdits;
  private final OriginFinder origins;
  private final Naming naming;
  private final RoleStore roles;
  private final MessageSource messages;

  Correcting(
      Keeping keeping,
      FigureEditStore figureEdits,
      OriginFinder origins,
      Naming naming,
      RoleStore roles,
      MessageSource messages) {
    this.keeping = keeping;
    this.figureEdits = figureEdits;
    this.origins = origins;
    this.naming = naming;
    this.roles = roles;
    this.messages = messages;
  }

  /** What came of a save. */
  sealed interface Outcome permits Kept, Outdated, Refused {}

  record Kept(int version) implements Outcome {}

  /** Another window saved in between, and nothing was kept. */
  record Outdated(FigureEditStore.Strokes newest) implements Outcome {}

  record Refused(String reason) implements Outcome {}

  /**
   * Takes the strokes as they stand now, and has the picture read anew.
   *
   * @param madeFrom the version that they were drawn from
   * @param edits as JSON
   */
  @Transactional
  public Outcome figure(Work work, int madeFrom, String edits) {
    List<FigureEdit> strokes;
    try {
      strokes = FigureEditsJson.read(edits);
    } catch (FormatException e) {
      return new Refused(String.valueOf(e.getMessage()));
    }
    if (!strokes.stream().allMatch(s -> s.isOn(work.widthPixels(), work.heightPixels()))) {
      return new Refused(messages.getMessage("origin.figure.off", null, Locale.ENGLISH));
    }
    OptionalInt saved = keeping.strokes(work, madeFrom, strokes);
    return saved.isPresent()
        ? new Kept(saved.getAsInt())
        : new Outdated(figureEdits.newest(work.id()));
  }

  /**
   * A colour picked on the picture.
   *
   * @param role in the user's word
   * @param x of the middle of a disc, in pixels from the left edge
   * @param radius of the disc, pixels; the colour at its middle alone where it is 0
   */
  record Picked(String role, RoleStore.Tone tone, double x, double y, double radius) {}

  /**
   * Picks a colour for a role. With the base its shadow, strip and highlight are found along; those
   * that were picked by hand stay.
   *
   * @return whether it was on the picture, and the role has a name that fits
   */
  boolean pick(Work work, Picked picked) throws UnusablePictureException {
    String name = picked.role().strip();
    Point at = new Point(picked.x(), picked.y());
    boolean isInside =
        at.x() >= 0 && at.y() >= 0 && at.x() < work.widthPixels() && at.y() < work.heightPixels();
    if (name.isEmpty()
        || name.length() > LONGEST_ROLE
        || !isInside
        || !(picked.radius() <= LARGEST_DISC)) {
      return false;
    }
    RoleColours found =
        RoleColours.at(origins.of(work).orElseThrow(), at, Math.max(0, picked.radius()));
    naming.name(work.id(), name, picked.tone(), found, at);
    return true;
  }

  @Transactional
  public void forget(Work work, String role) {
    roles.forget(work.id(), role);
  }

  /** What to draw over the picture, as JSON. */
  String layers(Work work) throws UnusablePictureException {
    return origins.json(work).orElseThrow();
  }
}
