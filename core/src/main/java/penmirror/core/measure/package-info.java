/**
 * What is measured, each measure defined once.
 *
 * <p>Start at {@link penmirror.core.measure.MeasureCatalogue}. Screens, rules, scores, files and
 * the docs read the catalogue; none repeats a name or a unit. A measure that cannot be read says
 * why ({@link penmirror.core.measure.NoReading}) instead of giving zero or NaN.
 */
@NullMarked
package penmirror.core.measure;

import org.jspecify.annotations.NullMarked;
