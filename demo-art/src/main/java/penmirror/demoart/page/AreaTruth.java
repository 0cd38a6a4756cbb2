package penmirror.demoart.page;

import penmirror.demoart.manner.Role;

/**
 * Where one local colour shows in the picture.
 *
 * @param litPx area in the light, pixels
 * @param shadedPx area in shadow, pixels
 * @param litRgb 0xRRGGBB
 * @param shadedRgb 0xRRGGBB
 */
public record AreaTruth(Role role, long litPx, long shadedPx, int litRgb, int shadedRgb) {}
