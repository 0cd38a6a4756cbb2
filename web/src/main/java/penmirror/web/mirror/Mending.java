package penmirror.web.mirror;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.colour.Tones;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.OpenRasterWriter;
import penmirror.core.drawing.Scene;
import penmirror.core.file.PictureReader;
import penmirror.core.file.PngWriter;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.planning.CarriedFigure;
import penmirror.core.planning.Ghost;
import penmirror.core.planning.Relined;
import penmirror.core.planning.Relined.Brushes;
import penmirror.core.planning.Retoned;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelEvidence;
import penmirror.core.reading.ReadingInputs;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.RoleScore;
import penmirror.core.scoring.Score;
import penmirror.core.words.Wording;
import penmirror.web.evidence.InputsFinder;
import penmirror.web.evidence.OriginFinder;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.opening.PictureOpener;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/**
 * A redraw with its fixes carried out, as far as they move something, lay a shadow otherwise or
 * make lines thicker or thinner.
 */
@Component
class Mending {
  /** The changes that stand over the picture. */
  static final int FIRST = 3;

  private final SheetMaker sheets;
  private final PictureStore pictures;
  private final PictureOpener opener;
  private final Fixing fixing;
  private final OriginFinder origins;
  private final InputsFinder inputs;

  Mending(
      SheetMaker sheets,
      PictureStore pictures,
      PictureOpener opener,
      Fixing fixing,
      OriginFinder origins,
      InputsFinder inputs) {
    this.fixing = fixing;
    this.origins = origins;
    this.inputs = inputs;
    this.sheets = sheets;
    this.pictures = pictures;
    this.opener = opener;
  }

  /**
   * Which of the fixes are carried out.
   *
   * @param numbers as they stand on the page, from 1
   */
  record Reach(Set<Integer> numbers) {
    /** No page tells more. */
    private static final int MOST = 99;

    /**
     * @param word {@code first}, {@code all}, or numbers with commas between them
     * @throws RefusedException when it is none of them
     */
    static Reach of(String word) {
      return switch (word) {
        case "first" -> upTo(FIRST);
        case "all" -> upTo(MOST);
        default -> {
          if (!word.matches("[1-9]\\d?(,[1-9]\\d?)*")) {
            throw new RefusedException("fault.form.word", Texts.cut(word, 40));
          }
          yield new Reach(
              Arrays.stream(word.split(",")).map(Integer::valueOf).collect(Collectors.toSet()));
        }
      };
    }

    private static Reach upTo(int last) {
      return new Reach(IntStream.rangeClosed(1, last).boxed().collect(Collectors.toSet()));
    }

    boolean holds(int number) {
      return numbers.contains(number);
    }
  }

  /**
   * @param words what it would reach by the rules, such as "By the rules 64, mended 78."
   * @param left numbers of fixes that move nothing, and are left to be drawn
   */
  record Told(String words, String left) {}

  /** How a redraw is laid otherwise where nothing moves. */
  private record Laid(List<Retoned.Shadow> shadows, Brushes brushes) {
    static final Laid AS_DRAWN = new Laid(List.of(), Brushes.AS_DRAWN);

    static Laid of(Score score, Reach reach) {
      return new Laid(relaid(score, reach), Brushes.wantedBy(chosen(Verdict.told(score), reach)));
    }
  }

  /** Whether any of the fixes can be carried out. */
  static boolean canMend(Loaded loaded, Work redraw, Score score) {
    return loaded.evidence(redraw).marks().headFrame().isPresent()
        && Verdict.told(score).stream()
            .anyMatch(fix -> !fix.steps().isEmpty() || isLaid(score, fix));
  }

  /**
   * What it would reach.
   *
   * @throws RefusedException where no head is marked
   */
  Told told(Study study, Work redraw, Reach reach) {
    Loaded loaded = headed(study, redraw);
    Score score = fixing.score(study, loaded, redraw);
    CarriedFigure figure = carried(loaded, redraw, score, reach);
    Score mended = loaded.score(redraw, mended(loaded, redraw, figure, Laid.of(score, reach)));
    List<Fix> told = Verdict.told(score);
    String left =
        IntStream.rangeClosed(1, told.size())
            .filter(reach::holds)
            .filter(number -> !isMoved(figure, told.get(number - 1)))
            .filter(number -> !isLaid(score, told.get(number - 1)))
            .mapToObj(Integer::toString)
            .collect(Collectors.joining(", "));
    return new Told(
        Wording.text("mended.by.rules", points(score), points(mended)),
        left.isEmpty() ? "" : Wording.text("mended.left", left));
  }

  /** Its points where they go; line and tones read anew from the picture as it is laid then. */
  private Evidence mended(Loaded loaded, Work redraw, CarriedFigure figure, Laid laid) {
    Evidence drawn = loaded.evidence(redraw);
    if (laid.equals(Laid.AS_DRAWN)) {
      return drawn.withMarks(figure.targets());
    }
    ReadingInputs by = inputs.of(redraw);
    return new Evidence(
        figure.targets(),
        Optional.of(by.look(laid(redraw, laid), step -> {}).readings()),
        drawn.markingError());
  }

  private static String points(Score score) {
    return score.byRules().map(points -> Wording.number(points, 0)).orElse("·");
  }

  /** Both at full size, the mended one over the drawing, to correct over. */
  byte[] underlay(Study study, Work redraw, Reach reach) {
    byte[] mended = picture(study, redraw, reach, redraw.heightPixels());
    byte[] own = PngWriter.write(laid(redraw, Laid.AS_DRAWN).toImage(), Optional.empty());
    return OpenRasterWriter.write(
        new Scene(
            redraw.widthPixels(),
            redraw.heightPixels(),
            redraw.title(),
            Wording.text("file.caution"),
            List.of(layer("yours", own, redraw), layer("mended", mended, redraw))));
  }

  private static Scene.Layer layer(String name, byte[] png, Work redraw) {
    return new Scene.Layer(
        name,
        List.of(
            new Item.Shown(png, "image/png", 0, 0, redraw.widthPixels(), redraw.heightPixels())));
  }

  /**
   * So many pixels high, as it lies over the redraw.
   *
   * @throws RefusedException where no head is marked
   */
  byte[] picture(Study study, Work redraw, Reach reach, int heightPixels) {
    Loaded loaded = headed(study, redraw);
    Score score = fixing.score(study, loaded, redraw);
    CarriedFigure figure = carried(loaded, redraw, score, reach);
    return PngWriter.write(
        Ghost.of(figure, redraw.widthPixels(), redraw.heightPixels())
            .drawn(laid(redraw, Laid.of(score, reach)), redraw.heightPixels(), heightPixels),
        Optional.empty());
  }

  private Loaded headed(Study study, Work redraw) {
    Loaded loaded = sheets.load(study);
    if (loaded.evidence(redraw).marks().headFrame().isEmpty()) {
      throw new RefusedException("mirror.mended.none");
    }
    return loaded;
  }

  /** The shadows that the chosen fixes lay otherwise. */
  private static List<Retoned.Shadow> relaid(Score score, Reach reach) {
    List<Fix> chosen = chosen(Verdict.told(score), reach);
    List<Retoned.Shadow> shadows = new ArrayList<>();
    for (RoleScore role : score.roles()) {
      Set<RoleScore.Step> steps =
          role.misses().stream()
              .map(RoleScore.Miss::step)
              .filter(step -> chosen.stream().anyMatch(fix -> isAbout(fix, role, step)))
              .collect(Collectors.toSet());
      if (!steps.isEmpty()) {
        Tones tones = role.tones().tones();
        shadows.add(
            new Retoned.Shadow(
                role.tones().role(),
                tones.base(),
                tones.shadow().orElseThrow(),
                role.shadowWith(steps).orElseThrow()));
      }
    }
    return shadows;
  }

  private static boolean isLaid(Score score, Fix fix) {
    return !Brushes.wantedBy(List.of(fix)).equals(Brushes.AS_DRAWN)
        || score.roles().stream()
            .anyMatch(
                role -> role.misses().stream().anyMatch(miss -> isAbout(fix, role, miss.step())));
  }

  private static boolean isAbout(Fix fix, RoleScore role, RoleScore.Step step) {
    return role.readings(step).stream().anyMatch(fix.act().readings()::contains);
  }

  private Picture laid(Work redraw, Laid laid) {
    try {
      if (laid.equals(Laid.AS_DRAWN)) {
        return opener.open(
            pictures.file(redraw.pictureSha256()).bytes(), PictureReader.Opened::picture);
      }
      PixelEvidence seen = origins.of(redraw).orElseThrow();
      return Relined.of(seen, Retoned.of(seen, laid.shadows()), laid.brushes());
    } catch (UnusablePictureException e) {
      throw new RefusedException("plan.ghost.unusable", String.valueOf(e.getMessage()));
    }
  }

  /** What the chosen fixes are about goes to its rule; all else stays as it is drawn. */
  private static CarriedFigure carried(Loaded loaded, Work redraw, Score score, Reach reach) {
    Set<Act> acts = new HashSet<>();
    chosen(Verdict.told(score), reach).forEach(fix -> acts.add(fix.act()));
    return CarriedFigure.of(
        loaded.sheetAsked(redraw),
        loaded.evidence(redraw).marks(),
        measure -> isOf(measure, acts) ? 0 : 1);
  }

  private static List<Fix> chosen(List<Fix> fixes, Reach reach) {
    return IntStream.range(0, fixes.size())
        .filter(i -> reach.holds(i + 1))
        .mapToObj(fixes::get)
        .toList();
  }

  private static boolean isOf(Measure measure, Set<Act> acts) {
    return Acts.of(measure).filter(acts::contains).isPresent();
  }

  private static boolean isMoved(CarriedFigure figure, Fix fix) {
    return fix.act().readings().stream().anyMatch(figure.aims()::containsKey);
  }
}
