/**
 * All measures together: the catalogue, the reader that finds in a picture's pixels what they need,
 * and what a reading depends on.
 *
 * <p>Start at {@link penmirror.core.reading.MeasureCatalogue}; screens, rules, scores, files and
 * the docs read it, and none repeats a name or a unit.
 */
@NullMarked
package penmirror.core.reading;

import org.jspecify.annotations.NullMarked;
