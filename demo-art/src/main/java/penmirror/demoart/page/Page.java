package penmirror.demoart.page;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Placement;
import penmirror.demoart.ink.Swell;
import penmirror.demoart.manner.Role;

/** All that a picture shows, from back to front, in heads. */
public final class Page {
  /** What lies on a page. */
  sealed interface Element permits Shape, Line {}

  /** A part in its place. */
  record Shape(Part part) implements Element {}

  /**
   * A free line.
   *
   * @param weight factor on the width of its class
   * @param on the part that cuts it, or null
   */
  record Line(Curve centre, LineClass lineClass, double weight, Swell swell, @Nullable Part on)
      implements Element {}

  private final List<Element> elements = new ArrayList<>();

  /** Draws in the page's own units. */
  public Draft draft() {
    return new Draft(this, Placement.HERE);
  }

  List<Element> elements() {
    return elements;
  }

  public List<Part> parts() {
    List<Part> parts = new ArrayList<>();
    for (Element element : elements) {
      if (element instanceof Shape shape) {
        parts.add(shape.part());
      }
    }
    return parts;
  }

  /** Draws on a page in units of its own. */
  public static final class Draft {
    private final Page page;
    private final Placement placement;

    private Draft(Page page, Placement placement) {
      this.page = page;
      this.placement = placement;
    }

    /** A draft whose units stand in this one as the placement says. */
    public Draft placed(Placement where) {
      return new Draft(page, where);
    }

    public Placement placement() {
      return placement;
    }

    public Part part(String name, Role role, Curve outline) {
      Part part = new Part(name, role, placement.apply(outline));
      page.elements.add(new Shape(part));
      return part;
    }

    /** A curve of this draft's units as it lies on the page, for spots and cast shadows. */
    public Curve on(Curve curve) {
      return placement.apply(curve);
    }

    public void line(Curve centre, LineClass lineClass, double weight, Swell swell) {
      page.elements.add(new Line(placement.apply(centre), lineClass, weight, swell, null));
    }

    /** A line that ends at a part's edge. */
    public void lineOn(Part part, Curve centre, LineClass lineClass, double weight, Swell swell) {
      page.elements.add(new Line(placement.apply(centre), lineClass, weight, swell, part));
    }
  }
}
