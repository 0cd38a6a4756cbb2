/**
 * Decoded pictures and the plane operations that measuring needs.
 *
 * <p>Planes are final classes around a row-major array, never records. Start at {@link
 * penmirror.core.raster.Picture}; the package file opens the files they come from.
 */
@NullMarked
package penmirror.core.raster;

import org.jspecify.annotations.NullMarked;
