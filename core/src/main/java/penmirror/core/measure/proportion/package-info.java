/**
 * Measures of the whole figure, in heads. See {@link
 * penmirror.core.measure.proportion.ProportionMeasures}.
 */
@NullMarked
package penmirror.core.measure.proportion;

import org.jspecify.annotations.NullMarked;
