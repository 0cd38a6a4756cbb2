/**
 * The plain moves of a hand: how landmarks go when one measure is changed, and how far they must go
 * for a wanted value.
 *
 * <p>Start at {@link penmirror.core.move.Moves}.
 */
@NullMarked
package penmirror.core.move;

import org.jspecify.annotations.NullMarked;
