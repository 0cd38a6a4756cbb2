package penmirror.web.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.planning.GuideFeatures;
import penmirror.core.planning.GuidePlan;
import penmirror.core.words.Wording;

/** What is ruled as a size, from the hair down to the calves, in the order one draws it. */
final class Sizes {
  private final List<Size> sizes = new ArrayList<>();

  private Sizes() {}

  /**
   * One row.
   *
   * @param name the word in message keys
   * @param fromMiddle pixels from the axis to where it ends, for an eye to where it begins and
   *     ends; empty for a height
   */
  record Size(String name, String pixels, String fromMiddle) {}

  /** Only what the plan tells. */
  static List<Size> of(GuidePlan plan) {
    Sizes rows = new Sizes();
    GuideFeatures features = plan.features();
    rows.across("hair", features.hairWidthPixels());
    rows.across("face", plan.face().map(GuidePlan.Width::pixels));
    rows.across("jaw", plan.jaw().map(GuidePlan.Jaw::widthPixels));
    rows.add("brow", features.brow().map(GuideFeatures.Brow::abovePixels), "");
    rows.add("lash", features.lashPixels(), "");
    plan.eyes().ifPresent(rows::eye);
    rows.add("opening", plan.eyes().flatMap(GuidePlan.Eyes::heightPixels), "");
    rows.add("iris", features.iris().map(GuideFeatures.Iris::widthPixels), "");
    rows.across("gap", plan.eyes().map(GuidePlan.Eyes::gapPixels));
    rows.add("nose", features.noseLengthPixels(), "");
    rows.across("mouth", plan.mouth().map(GuidePlan.Width::pixels));
    rows.across("neck", features.neck().map(GuideFeatures.Neck::widthPixels));
    rows.across("shoulders", plan.shoulders().map(GuidePlan.Width::pixels));
    rows.across("waist", features.waistPixels());
    rows.across("hips", features.hipsPixels());
    rows.add("forearm", features.forearmPixels(), "");
    rows.add("calf", features.calfPixels(), "");
    return List.copyOf(rows.sizes);
  }

  /** What lies half on either side of the axis. */
  private void across(String name, Optional<Double> pixels) {
    add(name, pixels, pixels.map(p -> Wording.number(p / 2, 0)).orElse(""));
  }

  private void eye(GuidePlan.Eyes eyes) {
    double inner = eyes.gapPixels() / 2;
    add(
        "eye",
        Optional.of(eyes.widthPixels()),
        Wording.number(inner, 0) + "\u2013" + Wording.number(inner + eyes.widthPixels(), 0));
  }

  private void add(String name, Optional<Double> pixels, String fromMiddle) {
    pixels.ifPresent(p -> sizes.add(new Size(name, Wording.number(p, 0), fromMiddle)));
  }
}
