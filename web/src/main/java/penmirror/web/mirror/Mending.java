package penmirror.web.mirror;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.OpenRasterWriter;
import penmirror.core.drawing.Scene;
import penmirror.core.file.PngWriter;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.measure.Measure;
import penmirror.core.planning.CarriedFigure;
import penmirror.core.planning.Ghost;
import penmirror.core.raster.Picture;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Score;
import penmirror.core.words.Wording;
import penmirror.web.layout.RefusedException;
import penmirror.web.opening.PictureOpener;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** A redraw with its fixes carried out, as far as they move something: lines and tones stay. */
@Component
class Mending {
  /** The changes that stand over the picture. */
  static final int FIRST = 3;

  private final SheetMaker sheets;
  private final PictureStore pictures;
  private final PictureOpener opener;
  private final Fixing fixing;

  Mending(SheetMaker sheets, PictureStore pictures, PictureOpener opener, Fixing fixing) {
    this.fixing = fixing;
    this.sheets = sheets;
    this.pictures = pictures;
    this.opener = opener;
  }

  /** How many of the fixes are carried out. */
  enum Reach {
    FIRST,
    ALL
  }

  /**
   * @param words what it would reach by the rules, such as "By the rules 64, mended 78."
   * @param left numbers of fixes that move nothing, and are left to be drawn
   */
  record Told(String words, String left) {}

  /** Whether any of the fixes moves something. */
  static boolean canMend(Loaded loaded, Work redraw, Score score) {
    return loaded.evidence(redraw).marks().headFrame().isPresent()
        && Verdict.told(score).stream().anyMatch(fix -> !fix.steps().isEmpty());
  }

  Told told(Study study, Work redraw, Reach reach) {
    Loaded loaded = sheets.load(study);
    Score score = fixing.score(study, loaded, redraw);
    CarriedFigure figure = carried(loaded, redraw, score, reach);
    Score mended = loaded.score(redraw, figure.targets());
    List<Fix> asked = chosen(Verdict.told(score), reach);
    String left =
        IntStream.range(0, asked.size())
            .filter(i -> !isMoved(figure, asked.get(i)))
            .mapToObj(i -> Integer.toString(i + 1))
            .collect(Collectors.joining(", "));
    return new Told(
        Wording.text("mended.by.rules", points(score), points(mended)),
        left.isEmpty() ? "" : Wording.text("mended.left", left));
  }

  private static String points(Score score) {
    return score.byRules().map(points -> Wording.number(points, 0)).orElse("·");
  }

  /** Both at full size, the mended one over the drawing, to correct over. */
  byte[] underlay(Study study, Work redraw, Reach reach) {
    byte[] mended = picture(study, redraw, reach, redraw.heightPixels());
    byte[] own = opened(redraw, picture -> PngWriter.write(picture.toImage(), Optional.empty()));
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
    Loaded loaded = sheets.load(study);
    if (loaded.evidence(redraw).marks().headFrame().isEmpty()) {
      throw new RefusedException("mirror.mended.none");
    }
    CarriedFigure figure = carried(loaded, redraw, fixing.score(study, loaded, redraw), reach);
    return opened(
        redraw,
        picture ->
            PngWriter.write(
                Ghost.of(figure, redraw.widthPixels(), redraw.heightPixels())
                    .drawn(picture, redraw.heightPixels(), heightPixels),
                Optional.empty()));
  }

  private interface Seen {
    byte[] of(Picture picture);
  }

  private byte[] opened(Work redraw, Seen how) {
    try {
      return opener.open(
          pictures.file(redraw.pictureSha256()).bytes(), opened -> how.of(opened.picture()));
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
    return reach == Reach.ALL ? fixes : fixes.subList(0, Math.min(FIRST, fixes.size()));
  }

  private static boolean isOf(Measure measure, Set<Act> acts) {
    return Acts.of(measure).filter(acts::contains).isPresent();
  }

  private static boolean isMoved(CarriedFigure figure, Fix fix) {
    return fix.act().readings().stream().anyMatch(figure.aims()::containsKey);
  }
}
