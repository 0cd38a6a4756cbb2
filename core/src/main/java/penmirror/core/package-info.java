/**
 * The measuring, the rules, the scoring and the planning. Plain Java: no Spring, no SQL, no web.
 *
 * <p>Order of the packages, each may use only those before it: geometry, colour, statistics;
 * raster, figure; measure; style; scoring, planning; format. {@code CoreArchitectureTest} holds it.
 */
@NullMarked
package penmirror.core;

import org.jspecify.annotations.NullMarked;
