package penmirror.demoart.page;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Palette;
import penmirror.demoart.manner.Parameters;

/** A page inked in a manner: every stroke known, ready to be painted at any size. */
public final class Drawing {
  /**
   * A part with its hatching and contour, or one free line.
   *
   * @param part null for a free line
   */
  record Inked(@Nullable Part part, List<InkLine> lines) {}

  private final Parameters parameters;
  private final Palette palette;
  private final Tones tones;
  private final List<Inked> inked = new ArrayList<>();

  /**
   * @param seed of the pen's unsteadiness; the same seed draws the same line
   */
  public Drawing(Page page, Manner manner, Parameters parameters, Palette palette, long seed) {
    this.parameters = parameters;
    this.palette = palette;
    this.tones = new Tones(palette, parameters, manner.shading());
    Inker inker = new Inker(page, parameters, tones, manner.hatching(), seed);
    int position = 0;
    for (Page.Element element : page.elements()) {
      if (element instanceof Page.Shape shape) {
        position++;
        List<InkLine> lines = new ArrayList<>(inker.hatching(shape.part()));
        lines.addAll(inker.contour(shape.part()));
        inked.add(new Inked(shape.part(), lines));
      } else if (element instanceof Page.Line line) {
        inked.add(new Inked(null, List.of(inker.line(line, position))));
      }
    }
  }

  public Parameters parameters() {
    return parameters;
  }

  public Palette palette() {
    return palette;
  }

  Tones tones() {
    return tones;
  }

  List<Inked> inked() {
    return inked;
  }
}
