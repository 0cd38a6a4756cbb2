/** Values, light to dark. See {@link penmirror.core.measure.shade.ShadeMeasures}. */
@NullMarked
package penmirror.core.measure.shade;

import org.jspecify.annotations.NullMarked;
