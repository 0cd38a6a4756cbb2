package penmirror.web.studies;

import java.util.Optional;
import penmirror.core.file.Resolution;

/**
 * The scan a work was made from.
 *
 * @param rawSha256 the picture as the scanner delivered it
 * @param resolution empty where neither the file nor the user said
 * @param turnDegrees by which it was turned back, clockwise positive
 * @param flattened whether uneven light was taken out
 * @param whitened whether the paper was set white
 */
public record Scan(
    String rawSha256,
    String fileName,
    Optional<Resolution> resolution,
    double turnDegrees,
    boolean flattened,
    boolean whitened) {}
