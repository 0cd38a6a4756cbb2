/**
 * A redraw held against a sheet: credits, group scores, interval, and what to change first.
 *
 * <p>Start at {@link penmirror.core.scoring.Scorer}. Closeness is not quality, and nothing measured
 * is no score.
 */
@NullMarked
package penmirror.core.scoring;

import org.jspecify.annotations.NullMarked;
