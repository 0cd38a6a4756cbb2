package penmirror.demoart.page;

/**
 * What lines of one class measure as drawn, in pixels of the picture; only what shows counts.
 *
 * @param strokes how many strokes of the class show
 * @param lengthPx along the centrelines together
 * @param medianPx full width, weighted by length, as are the others
 */
public record LineTruth(
    LineClass lineClass,
    int strokes,
    double lengthPx,
    double meanPx,
    double medianPx,
    double p10Px,
    double p90Px) {}
