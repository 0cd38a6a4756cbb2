package penmirror.core.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.planning.CarriedFigure;
import penmirror.core.planning.Limbs;
import penmirror.core.style.StyleSheet;

/**
 * A realistic adult beside the same one brought under the rules, both as tall: what a style makes
 * larger than life and what smaller.
 *
 * @param real landmarks of the adult
 * @param drawn the same where the rules put them
 * @param pieces what is ruled, the farthest from life first
 * @param limbs how thick the works draw them
 */
public record RealAndDrawn(Marks real, Marks drawn, List<Piece> pieces, Limbs limbs) {
  /** Nearer to life than this nobody sees a difference. */
  private static final double LIKE_LIFE = 1.06;

  public RealAndDrawn {
    pieces = List.copyOf(pieces);
  }

  /** What is compared: the body on figures as tall, the face on heads as high. */
  public enum Sort {
    HEAD(Landmark.CROWN, Landmark.CHIN, ProportionMeasures.STATURE),
    EYES(Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER, FaceMeasures.EYE_WIDTH),
    MOUTH(Landmark.MOUTH_L, Landmark.MOUTH_R, FaceMeasures.MOUTH_WIDTH),
    SHOULDERS(Landmark.SHOULDER_L, Landmark.SHOULDER_R, ProportionMeasures.SHOULDERS),
    HANDS(Landmark.WRIST_L, Landmark.FINGERTIP_L, ProportionMeasures.HAND),
    LEGS(Landmark.CROTCH, Landmark.SOLE, ProportionMeasures.LEGS);

    private final Landmark from;
    private final Landmark to;
    private final Measure ruledBy;

    Sort(Landmark from, Landmark to, Measure ruledBy) {
      this.from = from;
      this.to = to;
      this.ruledBy = ruledBy;
    }

    /** The word in message keys. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }

    private boolean isRuled(Set<Measure> aims) {
      return this == HEAD
          ? aims.stream().anyMatch(StatureConvention::isStature)
          : aims.contains(ruledBy);
    }

    private boolean isIn(Marks marks) {
      return marks.point(from).isPresent() && marks.point(to).isPresent();
    }

    /** Whether it is held against the head rather than the figure. */
    public boolean isOfFace() {
      return this == EYES || this == MOUTH;
    }

    private double length(Marks marks) {
      double unit = isOfFace() ? marks.headFrame().orElseThrow().headPixels() : 1;
      return marks.distance(from, to) / unit;
    }
  }

  /**
   * @param factor its length over that of life on a figure as tall, of a face on a head as high;
   *     above 0
   */
  public record Piece(Sort sort, double factor) {
    /** Whether anybody sees that it is not as in life. */
    public boolean isNotLife() {
      return Math.max(factor, 1 / factor) > LIKE_LIFE;
    }
  }

  /** Empty where the sheet rules none of it. */
  public static Optional<RealAndDrawn> of(StyleSheet sheet) {
    Marks real = Canon.realistic();
    CarriedFigure carried = CarriedFigure.of(sheet, real, measure -> 0);
    Set<Measure> aims = carried.aims().keySet();
    Marks drawn = carried.targets();
    List<Piece> pieces = new ArrayList<>();
    for (Sort sort : Sort.values()) {
      if (sort.isRuled(aims) && sort.isIn(drawn) && drawn.headFrame().isPresent()) {
        pieces.add(new Piece(sort, sort.length(drawn) / sort.length(real)));
      }
    }
    pieces.sort(
        (one, other) ->
            Double.compare(Math.abs(Math.log(other.factor())), Math.abs(Math.log(one.factor()))));
    return pieces.isEmpty()
        ? Optional.empty()
        : Optional.of(new RealAndDrawn(real, drawn, pieces, Limbs.of(sheet)));
  }

  /** Whether the height of the figure is ruled; else only its head says something. */
  public boolean hasBody() {
    return pieces.stream().anyMatch(piece -> piece.sort() == Sort.HEAD);
  }

  /**
   * How far from life to the style the head of a figure already stands: 0 as in life, 1 as the
   * style has it. Empty where the style has it as in life, or its height is not marked.
   */
  public OptionalDouble way(Marks own) {
    Optional<Piece> head =
        pieces.stream().filter(piece -> piece.sort() == Sort.HEAD && piece.isNotLife()).findFirst();
    OptionalDouble heads = ProportionMeasures.STATURE.valueOf(own);
    OptionalDouble life = ProportionMeasures.STATURE.valueOf(real);
    OptionalDouble style = ProportionMeasures.STATURE.valueOf(drawn);
    if (head.isEmpty() || heads.isEmpty() || life.isEmpty() || style.isEmpty()) {
      return OptionalDouble.empty();
    }
    double all = Math.log(style.getAsDouble() / life.getAsDouble());
    return OptionalDouble.of(Math.log(heads.getAsDouble() / life.getAsDouble()) / all);
  }
}
