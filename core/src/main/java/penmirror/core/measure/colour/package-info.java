/** The colours that carry the figure. See {@link penmirror.core.measure.colour.PaletteReader}. */
@NullMarked
package penmirror.core.measure.colour;

import org.jspecify.annotations.NullMarked;
