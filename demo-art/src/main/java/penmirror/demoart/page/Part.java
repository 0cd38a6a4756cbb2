package penmirror.demoart.page;

import java.util.ArrayList;
import java.util.List;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.manner.Role;

/** A closed shape of one local colour with what lies on it: shadow, spots, an outline. */
public final class Part {
  /** How a part takes the light. */
  public enum Tone {
    /** Lit from one side, with a shadow on the other. */
    FORM,
    /** All in shadow. */
    SHADED,
    /** One flat colour. */
    FLAT
  }

  /** A flat shape on a part, clipped to it. Colour is the role's, lit or shaded. */
  record Spot(Role role, Curve shape, boolean shaded, double opacity) {}

  private final String name;
  private final Role role;
  private final Curve outline;
  private final List<Curve> castShadows = new ArrayList<>();
  private final List<Spot> spots = new ArrayList<>();
  private Tone tone = Tone.FORM;
  private double contour = 1;
  private double reach = 1;

  Part(String name, Role role, Curve outline) {
    this.name = name;
    this.role = role;
    this.outline = outline.area() < 0 ? outline.backwards() : outline;
  }

  public Part tone(Tone newTone) {
    tone = newTone;
    return this;
  }

  /** Factor on the contour's weight; 0 for no contour. */
  public Part contour(double factor) {
    contour = factor;
    return this;
  }

  /** Factor on how far the shadow reaches in. */
  public Part reach(double factor) {
    reach = factor;
    return this;
  }

  /** A shadow that something else throws on this part. */
  public Part castShadow(Curve shape) {
    castShadows.add(shape);
    return this;
  }

  public Part spot(Role spotRole, Curve shape, double opacity) {
    spots.add(new Spot(spotRole, shape, false, opacity));
    return this;
  }

  public Part shadedSpot(Role spotRole, Curve shape, double opacity) {
    spots.add(new Spot(spotRole, shape, true, opacity));
    return this;
  }

  public String name() {
    return name;
  }

  public Role role() {
    return role;
  }

  public Curve outline() {
    return outline;
  }

  Tone tone() {
    return tone;
  }

  double contour() {
    return contour;
  }

  List<Curve> castShadows() {
    return castShadows;
  }

  List<Spot> spots() {
    return spots;
  }

  /** Twice area over perimeter: about half the width of a bar, half the radius of a disc. */
  private double thickness() {
    return 2 * Math.abs(outline.area()) / outline.length();
  }

  /**
   * The lit shape: the outline moved toward the light, so that what it leaves uncovered is shadow.
   *
   * @param towardLight unit step
   * @param share how far the shadow reaches in, of the part's thickness
   */
  Curve lit(Point towardLight, double share) {
    Point step = towardLight.times(share * reach * 1.8 * thickness());
    return outline.shifted(step.x(), step.y());
  }
}
