/**
 * What a measure is and what its readings are made of; the families beside it define the measures
 * themselves, each once.
 *
 * <p>Start at {@link penmirror.core.measure.Measure}. A measure that cannot be read says why
 * ({@link penmirror.core.measure.NoReading}) instead of giving zero or NaN.
 */
@NullMarked
package penmirror.core.measure;

import org.jspecify.annotations.NullMarked;
