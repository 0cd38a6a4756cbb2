package penmirror.core.measure.region;

import java.util.List;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Ruler;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/**
 * Where things sit in the figure. Sideways places are told by their distance from the middle, so
 * that a mirrored picture reads the same.
 */
public final class LayoutMeasures {
  private static final String SETS = "spreads measured on openly licensed sets, docs/measures.md";

  public static final Measure CUT =
      layout(
              "layout.cut",
              Unit.SHARE,
              Scale.LINEAR,
              "width of the figure on the lower edge of the picture / its own width")
          .spreads(0.0287, 0.0786, 0.478)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure ASPECT =
      layout("layout.aspect", Unit.RATIO, Scale.LOG, "width / height of the figure")
          .spreads(0.0106, 0.0899, 0.176)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure WIDTH_MIDDLE =
      layout(
              "layout.width.middle",
              Unit.SHARE,
              Scale.LINEAR,
              "mean width in the fourth eighth of the height / width of the figure")
          .spreads(0.00972, 0.0694, 0.162)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure WIDTH_BELOW =
      layout(
              "layout.width.below",
              Unit.SHARE,
              Scale.LINEAR,
              "mean width in the fifth eighth of the height / width of the figure")
          .spreads(0.0107, 0.0838, 0.178)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure WIDTH_LOW =
      layout(
              "layout.width.low",
              Unit.SHARE,
              Scale.LINEAR,
              "mean width in the seventh eighth of the height / width of the figure")
          .spreads(0.011, 0.135, 0.178)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure NECK_HEIGHT =
      layout(
              "layout.neck",
              Unit.OF_THE_HEIGHT,
              Scale.LINEAR,
              "height of the narrowest row from 0.35 to 0.92 of the figure")
          .spreads(0.00899, 0.0534, 0.15)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure NECK_WIDTH =
      layout(
              "layout.neck.width",
              Unit.RATIO,
              Scale.LINEAR,
              "that row's width / widest row above it")
          .spreads(0.012, 0.16, 0.206)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure CLOTH_AREA =
      layout("layout.cloth", Unit.SHARE, Scale.LINEAR, "share of the figure that is clothes")
          .spreads(0.0081, 0.0712, 0.135)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure EYES_MIDDLE =
      layout(
              "layout.eyes.middle",
              Unit.SHARE,
              Scale.LINEAR,
              "distance of the eyes' middle from the middle of the face / width of the face")
          .spreads(0.00518, 0.0306, 0.0863)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure EYES_APART =
      layout(
              "layout.eyes.apart",
              Unit.SHARE,
              Scale.LINEAR,
              "distance of the eyes / width of the face")
          .spreads(0.009, 0.0995, 0.15)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure MOUTH_HEIGHT =
      layout("layout.mouth", Unit.SHARE, Scale.LINEAR, "height of the mouth in the face")
          .spreads(0.0069, 0.0756, 0.115)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure FACE_MIDDLE =
      layout(
              "layout.face.middle",
              Unit.SHARE,
              Scale.LINEAR,
              "distance of the face from the middle of the figure / width of the figure")
          .spreads(0.0024, 0.0238, 0.0394)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure FACE_WIDTH =
      layout(
              "layout.face.width",
              Unit.SHARE,
              Scale.LINEAR,
              "width of the face / width of the figure")
          .spreads(0.01, 0.138, 0.169)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure FACE_ASPECT =
      layout("layout.face.aspect", Unit.RATIO, Scale.LOG, "width / height of the face")
          .spreads(0.017, 0.22, 0.288)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure DETAIL_MIDDLE =
      layout(
              "layout.detail.middle",
              Unit.SHARE,
              Scale.LINEAR,
              "distance of the centre of detail from the middle / width of the figure")
          .spreads(0.00232, 0.0182, 0.0387)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure DETAIL_HEIGHT =
      layout("layout.detail", Unit.OF_THE_HEIGHT, Scale.LINEAR, "height of the centre of detail")
          .spreads(0.0043, 0.0508, 0.0715)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure DETAIL_SPREAD =
      layout(
              "layout.detail.spread",
              Unit.OF_THE_HEIGHT,
              Scale.LINEAR,
              "deviation of detail up and down")
          .spreads(0.00272, 0.028, 0.0453)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure DARK_MIDDLE =
      layout(
              "layout.dark.middle",
              Unit.SHARE,
              Scale.LINEAR,
              "distance of the centre of darkness from the middle / width of the figure")
          .spreads(0.0013, 0.0145, 0.0217)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure ASYMMETRY =
      layout(
              "layout.asymmetry",
              Unit.SHARE,
              Scale.LINEAR,
              "share of mirrored pixel pairs that differ, about the best upright axis")
          .spreads(0.00997, 0.0711, 0.166)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure SILHOUETTE_SYMMETRY =
      layout(
              "layout.symmetry",
              Unit.SHARE,
              Scale.LINEAR,
              "overlap of the silhouette with its mirror image about the best upright axis")
          .spreads(0.0046, 0.0477, 0.0774)
          .source(SETS)
          .ofSubject()
          .build();

  public static final List<Measure> ALL =
      List.of(
          CUT,
          ASPECT,
          WIDTH_MIDDLE,
          WIDTH_BELOW,
          WIDTH_LOW,
          NECK_HEIGHT,
          NECK_WIDTH,
          CLOTH_AREA,
          EYES_MIDDLE,
          EYES_APART,
          MOUTH_HEIGHT,
          FACE_MIDDLE,
          FACE_WIDTH,
          FACE_ASPECT,
          DETAIL_MIDDLE,
          DETAIL_HEIGHT,
          DETAIL_SPREAD,
          DARK_MIDDLE,
          ASYMMETRY,
          SILHOUETTE_SYMMETRY);

  static final List<Measure> OF_FACE =
      List.of(EYES_MIDDLE, EYES_APART, MOUTH_HEIGHT, FACE_MIDDLE, FACE_WIDTH, FACE_ASPECT);

  private LayoutMeasures() {}

  private static Measure.Builder layout(String key, Unit unit, Scale scale, String formula) {
    return Measure.ofPixels(key, MeasureGroup.LAYOUT, unit, Ruler.NONE, scale, formula);
  }
}
