/**
 * Points and similarity transforms in picture coordinates.
 *
 * <p>Coordinates are pixels of the upright picture, origin at its top left corner, x to the right,
 * y down, fractions allowed: the centre of the first pixel is (0.5, 0.5). Left and right are always
 * as seen in the picture. Start at {@link penmirror.core.geometry.Point}.
 */
@NullMarked
package penmirror.core.geometry;

import org.jspecify.annotations.NullMarked;
