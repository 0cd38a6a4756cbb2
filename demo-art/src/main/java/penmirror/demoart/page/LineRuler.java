package penmirror.demoart.page;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import penmirror.core.geometry.Point;

/** Measures the strokes of a rendering by class, from the shapes they are filled with. */
final class LineRuler {
  private record Piece(double widthPx, double lengthPx) {}

  private final Map<LineClass, List<Piece>> pieces = new EnumMap<>(LineClass.class);
  private final Map<LineClass, Integer> strokes = new EnumMap<>(LineClass.class);

  /** Median width of the silhouette over that of all other lines. */
  static double outlineToInner(Rendering rendering) {
    Map<LineClass, List<Piece>> pieces = of(rendering).pieces;
    List<Piece> inner = new ArrayList<>();
    pieces.forEach(
        (lineClass, own) -> {
          if (lineClass != LineClass.SILHOUETTE) {
            inner.addAll(own);
          }
        });
    return median(pieces.getOrDefault(LineClass.SILHOUETTE, List.of())) / median(inner);
  }

  private static double median(List<Piece> pieces) {
    List<Piece> sorted = new ArrayList<>(pieces);
    sorted.sort(Comparator.comparingDouble(Piece::widthPx));
    return quantile(sorted, sorted.stream().mapToDouble(Piece::lengthPx).sum(), 0.5);
  }

  private static LineRuler of(Rendering rendering) {
    LineRuler ruler = new LineRuler();
    double scale = rendering.headPx();
    for (Drawing.Inked inked : rendering.drawing().inked()) {
      for (InkLine line : inked.lines()) {
        ruler.add(line, scale, rendering);
      }
    }
    return ruler;
  }

  static List<LineTruth> measure(Rendering rendering) {
    LineRuler ruler = of(rendering);
    List<LineTruth> truths = new ArrayList<>();
    for (LineClass lineClass : LineClass.values()) {
      if (ruler.pieces.containsKey(lineClass)) {
        truths.add(ruler.truth(lineClass));
      }
    }
    return truths;
  }

  private void add(InkLine line, double scale, Rendering rendering) {
    List<Point> points = line.stroke().centre().points();
    double[] widths = line.stroke().widths();
    int n = points.size();
    boolean round = line.stroke().centre().isClosed();
    EnumSet<LineClass> met = EnumSet.noneOf(LineClass.class);
    for (int i = 0; i < (round ? n : n - 1); i++) {
      int j = (i + 1) % n;
      if (line.seen()[i] && line.seen()[j] && rendering.shows(points.get(i))) {
        LineClass lineClass = line.classes()[i];
        met.add(lineClass);
        pieces
            .computeIfAbsent(lineClass, key -> new ArrayList<>())
            .add(
                new Piece(
                    (widths[i] + widths[j]) / 2 * scale,
                    points.get(i).distanceTo(points.get(j)) * scale));
      }
    }
    met.forEach(lineClass -> strokes.merge(lineClass, 1, Integer::sum));
  }

  private LineTruth truth(LineClass lineClass) {
    List<Piece> sorted = new ArrayList<>(Objects.requireNonNull(pieces.get(lineClass)));
    sorted.sort(Comparator.comparingDouble(Piece::widthPx));
    double length = sorted.stream().mapToDouble(Piece::lengthPx).sum();
    double mean = sorted.stream().mapToDouble(p -> p.widthPx() * p.lengthPx()).sum() / length;
    return new LineTruth(
        lineClass,
        Objects.requireNonNull(strokes.get(lineClass)),
        length,
        mean,
        quantile(sorted, length, 0.5),
        quantile(sorted, length, 0.1),
        quantile(sorted, length, 0.9));
  }

  private static double quantile(List<Piece> sorted, double length, double share) {
    double sum = 0;
    for (Piece piece : sorted) {
      sum += piece.lengthPx();
      if (sum >= share * length) {
        return piece.widthPx();
      }
    }
    return sorted.get(sorted.size() - 1).widthPx();
  }
}
