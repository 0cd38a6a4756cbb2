package penmirror.web.drill;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.colour.ColourMatch;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.PickerColour;
import penmirror.core.measure.RoleTones;
import penmirror.core.statistics.Sample;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.PaletteColour;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.MatchWords;
import penmirror.core.words.Wording;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;

/** Asks after colours of the works, and says which way each was off. */
@Component
class Drilling {
  private static final int ROUND = 12;

  /** Fewer answers say nothing of a hand. */
  private static final int ENOUGH = 4;

  private final DrillStore store;
  private final SheetMaker sheets;

  Drilling(DrillStore store, SheetMaker sheets) {
    this.store = store;
    this.sheets = sheets;
  }

  /**
   * @param asked the colour to match; empty where no colours of the works are known
   * @param number which of the round it is, from 1
   * @param habit what the newest answers say together; empty for too few
   */
  record Page(String asked, int number, int of, String habit, Optional<Answered> last) {}

  /**
   * @param told which way it is off, in words
   * @param off how far, where 1 is just seen
   */
  record Answered(String asked, String given, String told, String off) {}

  Page page(Study study, boolean answered) {
    List<EncodedSrgb> colours = colours(sheets.sheetOf(study));
    int count = store.count(study.id());
    List<DrillStore.Answer> newest = store.newest(study.id(), ROUND);
    Optional<Answered> last =
        answered && !newest.isEmpty() ? Optional.of(told(newest.get(0))) : Optional.empty();
    return new Page(
        colours.isEmpty() ? "" : next(colours, count).hex(),
        count % ROUND + 1,
        ROUND,
        habit(newest),
        last);
  }

  /** Every colour once before any comes again, in no order one could learn. */
  private static EncodedSrgb next(List<EncodedSrgb> colours, int count) {
    List<EncodedSrgb> mixed = new ArrayList<>(colours);
    Collections.shuffle(mixed, new Random(count / colours.size()));
    return mixed.get(count % colours.size());
  }

  /** Light and shadow of what the works paint, and the palette's others. */
  private static List<EncodedSrgb> colours(StyleSheet sheet) {
    Set<String> hexes = new LinkedHashSet<>();
    for (MeasuredWork work : sheet.works()) {
      for (RoleTones role : work.roles()) {
        hexes.add(role.tones().base().toEncodedSrgb().hex());
        role.tones().shadow().ifPresent(shadow -> hexes.add(shadow.toEncodedSrgb().hex()));
      }
    }
    sheet.palette().stream().map(PaletteColour::hex).forEach(hexes::add);
    return hexes.stream().map(EncodedSrgb::fromHex).toList();
  }

  private static Answered told(DrillStore.Answer answer) {
    ColourMatch match = ColourMatch.of(answer.asked(), answer.given());
    return new Answered(
        answer.asked().hex(),
        answer.given().hex(),
        MatchWords.told(match),
        Wording.number(match.off(), 1));
  }

  /** What the middle of the newest answers looks like; nothing where they scatter to all sides. */
  private static String habit(List<DrillStore.Answer> newest) {
    if (newest.size() < ENOUGH) {
      return "";
    }
    List<ColourMatch> matches =
        newest.stream().map(of -> ColourMatch.of(of.asked(), of.given())).toList();
    return MatchWords.told(
        new ColourMatch(
            middle(matches, ColourMatch::off),
            middle(matches, ColourMatch::lighter),
            middle(matches, ColourMatch::stronger),
            middle(matches, ColourMatch::redderDegrees)));
  }

  private static double middle(List<ColourMatch> matches, ToDoubleFunction<ColourMatch> of) {
    return Sample.of(matches.stream().mapToDouble(of).toArray()).median();
  }

  /** In the picker's numbers, held inside their ranges. */
  @Transactional
  public void answer(Study study, String asked, double hue, double saturation, double brightness) {
    EncodedSrgb wanted;
    try {
      wanted = EncodedSrgb.fromHex(asked);
    } catch (IllegalArgumentException e) {
      throw new RefusedException("plan.colours.hex.wrong", Texts.cut(asked, 20));
    }
    PickerColour given =
        new PickerColour(held(hue, 360) % 360, held(saturation, 100), held(brightness, 100));
    store.keep(study.id(), new DrillStore.Answer(wanted, given.toEncodedSrgb()));
  }

  private static double held(double value, double most) {
    return Double.isNaN(value) ? 0 : Math.max(0, Math.min(most, value));
  }
}
