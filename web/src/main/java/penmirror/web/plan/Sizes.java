package penmirror.web.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.planning.GuideFeatures;
import penmirror.core.planning.GuidePlan;
import penmirror.core.words.Wording;

/** What is ruled as a size, from the hair down to the hips, in the order one draws it. */
final class Sizes {
  private final List<Size> sizes = new ArrayList<>();

  private Sizes() {}

  /**
   * One row.
   *
   * @param name the word in message keys
   */
  record Size(String name, String pixels) {}

  /** Only what the plan tells. */
  static List<Size> of(GuidePlan plan) {
    Sizes rows = new Sizes();
    GuideFeatures features = plan.features();
    rows.add("hair", features.hairWidthPixels());
    rows.add("face", plan.face().map(GuidePlan.Width::pixels));
    rows.add("jaw", plan.jaw().map(GuidePlan.Jaw::widthPixels));
    rows.add("brow", features.brow().map(GuideFeatures.Brow::abovePixels));
    rows.add("lash", features.lashPixels());
    rows.add("eye", plan.eyes().map(GuidePlan.Eyes::widthPixels));
    rows.add("opening", plan.eyes().flatMap(GuidePlan.Eyes::heightPixels));
    rows.add("iris", features.iris().map(GuideFeatures.Iris::widthPixels));
    rows.add("gap", plan.eyes().map(GuidePlan.Eyes::gapPixels));
    rows.add("nose", features.noseLengthPixels());
    rows.add("mouth", plan.mouth().map(GuidePlan.Width::pixels));
    rows.add("neck", features.neck().map(GuideFeatures.Neck::widthPixels));
    rows.add("shoulders", plan.shoulders().map(GuidePlan.Width::pixels));
    rows.add("waist", features.waistPixels());
    rows.add("hips", features.hipsPixels());
    return List.copyOf(rows.sizes);
  }

  private void add(String name, Optional<Double> pixels) {
    pixels.ifPresent(p -> sizes.add(new Size(name, Wording.number(p, 0))));
  }
}
