/**
 * Where the features sit, in the head's frame. See {@link
 * penmirror.core.measure.face.FaceMeasures}.
 */
@NullMarked
package penmirror.core.measure.face;

import org.jspecify.annotations.NullMarked;
