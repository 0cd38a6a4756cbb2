package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.figure.Landmark;
import penmirror.core.geometry.Point;

/** What the marked faces of a study share, looking one way; the other way it is mirrored. */
final class Learned {
  private final LearnedShape shape;
  private final List<FacePatch> faces;

  private Learned(List<MarkedFigure> figures) {
    shape = LearnedShape.ofFaces(figures);
    faces = figures.stream().flatMap(figure -> figure.face().stream()).toList();
  }

  /** As marked, and mirrored; empty where no face is marked. */
  static List<Learned> bothWays(List<MarkedFigure> figures) {
    List<Learned> both = new ArrayList<>();
    both.add(new Learned(oneWay(figures)));
    if (both.get(0).shape.isEmpty()) {
      return List.of();
    }
    both.add(new Learned(oneWay(figures).stream().map(MarkedFigure::mirrored).toList()));
    return both;
  }

  /** All figures turned the way of the first: by on which side of the eyes the nose lies. */
  private static List<MarkedFigure> oneWay(List<MarkedFigure> figures) {
    return figures.stream().map(figure -> turn(figure) < 0 ? figure.mirrored() : figure).toList();
  }

  private static double turn(MarkedFigure figure) {
    return LearnedShape.eyeFrame(figure.marks())
        .flatMap(
            frame -> figure.marks().point(Landmark.NOSE_BASE).map(nose -> frame.inFrame(nose).x()))
        .orElse(0.0);
  }

  LearnedShape shape() {
    return shape;
  }

  double likeness(Ground ground, EyePair pair) {
    double[] face = FacePatch.sampled(ground.luma, pair.leftMiddle(), pair.rightMiddle());
    return faces.stream().mapToDouble(patch -> patch.likeness(face)).max().orElse(0);
  }

  /** How well the distance from the eyes to the top of the hair fits. */
  double topTerm(Ground ground, EyePair pair) {
    Optional<LearnedShape.Place> hair = shape.place(Landmark.HAIR_TOP);
    if (hair.isEmpty() || hair.get().mean().y() > -0.1) {
      return 0;
    }
    Point origin = pair.origin();
    double d = pair.distance();
    double above =
        Math.max(0.05, (origin.y() - ground.topOver(origin.x() - d, origin.x() + d)) / d);
    double off = Math.log(above / -hair.get().mean().y()) / 0.25;
    return -off * off / 2;
  }

  /** What the outline of the lower face is like before looking. */
  Outline.Prior prior() {
    Outline.Prior any = Outline.Prior.ANY;
    Optional<LearnedShape.Place> chin = shape.place(Landmark.CHIN);
    Optional<LearnedShape.Place> left = shape.place(Landmark.CHEEK_L);
    Optional<LearnedShape.Place> right = shape.place(Landmark.CHEEK_R);
    double half = any.half();
    double halfSpread = any.halfSpread();
    double shift = chin.map(place -> place.mean().x()).orElse(any.shift());
    if (left.isPresent() && right.isPresent()) {
      half = Math.max(0.3, (right.get().mean().x() - left.get().mean().x()) / 2);
      halfSpread = Math.max(0.06, left.get().spread() / half);
      shift = (right.get().mean().x() + left.get().mean().x()) / 2;
    }
    double height = chin.map(place -> Math.max(0.4, place.mean().y())).orElse(any.chin());
    double heightSpread =
        chin.map(place -> Math.max(0.06, place.spread() / height)).orElse(any.chinSpread());
    return new Outline.Prior(half, halfSpread, height, heightSpread, shift, 0.12);
  }

  /** Where mouth and nose are expected; spreads are kept wide, moods differ. */
  FaceReader.Expected expected() {
    FaceReader.Expected any = FaceReader.Expected.ANY;
    Optional<LearnedShape.Place> chin = shape.place(Landmark.CHIN);
    Optional<LearnedShape.Place> left = shape.place(Landmark.MOUTH_L);
    Optional<LearnedShape.Place> right = shape.place(Landmark.MOUTH_R);
    Optional<LearnedShape.Place> nose = shape.place(Landmark.NOSE_BASE);
    if (chin.isEmpty() || left.isEmpty() || right.isEmpty() || nose.isEmpty()) {
      return any;
    }
    double height = Math.max(0.4, chin.get().mean().y());
    Point mouth = left.get().mean().midpointTo(right.get().mean());
    double width = Math.max(0.1, left.get().mean().distanceTo(right.get().mean()));
    return new FaceReader.Expected(
        mouth.x(),
        Math.max(0.22, left.get().spread()),
        mouth.y() / height,
        Math.max(0.17, left.get().spread() / height) * 0.75,
        width,
        0.8,
        nose.get().mean().x(),
        Math.max(0.16, nose.get().spread()),
        nose.get().mean().y() / height,
        Math.max(0.14, nose.get().spread() / height) * 0.75);
  }
}
