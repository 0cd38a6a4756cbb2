package penmirror.core.copying;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Similarity;
import penmirror.core.measure.Measure;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.scoring.LandmarkAlignment;

/**
 * How alike a drawing is to one work, once their landmarks lie over each other as near as size,
 * turn and place allow.
 *
 * @param alignment of their landmarks, worst first
 * @param parts that could be compared, in the order of {@link Part}; one at least
 * @param isTheWork whether it lies on the work line for line: no drawing after it but the work
 *     itself, resized, cropped or coloured anew, or a tracing
 */
public record CopyLikeness(LandmarkAlignment alignment, List<Reached> parts, boolean isTheWork) {
  /** Half is left of the likeness at this distance, in the unit of each part. Set on drawings. */
  private static final double HALF_PLACE_HEADS = 0.05;

  private static final double HALF_OUTLINE = 0.25;
  private static final double HALF_LINE_LOG = 0.4;
  private static final double HALF_VALUES = 0.1;
  private static final double HALF_COLOURS = 0.06;

  /**
   * The same drawing reaches as much in nine of its pieces of ten, whatever was done to its
   * colours; a copy by a steady hand reaches it as well, and is told by its points.
   */
  private static final double SAME_EDGES = 0.87;

  /** Marked twice, points of one drawing lie a hundredth of a head apart; farther they are two. */
  public static final double MARKED_TWICE_HEADS = 0.018;

  private static final int WORK_ALONE = 0x1F5FBF;
  private static final int COPY_ALONE = 0xC8321F;
  private static final int PIXELS_PER_CELL = 3;

  public CopyLikeness {
    parts = List.copyOf(parts);
  }

  /** What is compared. */
  public enum Part {
    /** Mean distance between landmarks, heads of the work. */
    PLACE,
    /** One less the share of both figures' area that both cover. */
    OUTLINE,
    /** Natural logarithm of line width over the work's, both by their head. */
    LINE,
    /** Between the spreads of light and dark, OKLab lightness. */
    VALUES,
    /** Between the spreads of colour, OKLab a and b together. */
    COLOURS;

    /** The word used in message keys. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * @param off in the unit of the part; 0 where both are alike, signed for the line alone
   */
  public record Reached(Part part, double off) {
    /** 1 where both are alike, halved by each step of its part, (0, 1]. */
    public double likeness() {
      return Math.pow(2, -Math.abs(off) / half(part));
    }

    private static double half(Part part) {
      return switch (part) {
        case PLACE -> HALF_PLACE_HEADS;
        case OUTLINE -> HALF_OUTLINE;
        case LINE -> HALF_LINE_LOG;
        case VALUES -> HALF_VALUES;
        case COLOURS -> HALF_COLOURS;
      };
    }
  }

  /**
   * One of the two.
   *
   * @param values what was read of it, by measure
   */
  public record Side(SmallFigure figure, Marks marks, Map<Measure, Double> values) {}

  /** Empty where the two have fewer than two landmarks in common. */
  public static Optional<CopyLikeness> of(Side work, Side copy) {
    return LandmarkAlignment.of(work.marks(), copy.marks())
        .map(
            alignment -> {
              Laid laid = new Laid(work.figure(), copy.figure(), alignment.redrawToSource());
              List<Reached> parts = new ArrayList<>();
              if (work.marks().headFrame().isPresent()) {
                parts.add(new Reached(Part.PLACE, alignment.meanHeads()));
              }
              laid.sharedOutline()
                  .ifPresent(shared -> parts.add(new Reached(Part.OUTLINE, 1 - shared)));
              lineOff(work, copy).ifPresent(off -> parts.add(new Reached(Part.LINE, off)));
              laid.tones()
                  .ifPresent(
                      tones -> {
                        parts.add(new Reached(Part.VALUES, tones.values()));
                        parts.add(new Reached(Part.COLOURS, tones.colours()));
                      });
              // Edges are sought for long: only where the points could be those of one drawing.
              boolean isTheWork =
                  work.marks().headFrame().isPresent()
                      && alignment.meanHeads() <= MARKED_TWICE_HEADS
                      && EdgeMatch.of(laid) >= SAME_EDGES;
              return new CopyLikeness(alignment, parts, isTheWork);
            });
  }

  /** The mean of its parts, [0, 100]. */
  public double points() {
    return 100 * parts.stream().mapToDouble(Reached::likeness).average().orElse(0);
  }

  public Optional<Reached> part(Part part) {
    return parts.stream().filter(reached -> reached.part() == part).findFirst();
  }

  /**
   * The two over each other on the page of the work: blue what it alone covers, red what the copy
   * alone does.
   */
  public static BufferedImage difference(SmallFigure work, SmallFigure copy, Similarity laid) {
    return new Laid(work, copy, laid).difference(WORK_ALONE, COPY_ALONE, PIXELS_PER_CELL);
  }

  private static Optional<Double> lineOff(Side work, Side copy) {
    Double of = work.values().get(LineMeasures.WIDTH);
    Double is = copy.values().get(LineMeasures.WIDTH);
    return of == null || is == null ? Optional.empty() : Optional.of(Math.log(is / of));
  }
}
