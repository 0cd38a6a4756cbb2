/**
 * Medians, spreads and quantiles of small samples.
 *
 * <p>The textbook parts come from Commons Statistics; what is ours is the spread that survives one
 * wrong source picture. Start at {@link penmirror.core.statistics.Sample}.
 */
@NullMarked
package penmirror.core.statistics;

import org.jspecify.annotations.NullMarked;
