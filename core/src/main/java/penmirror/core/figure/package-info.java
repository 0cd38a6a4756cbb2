/**
 * The drawn figure: its landmarks, the view it is seen from, and the head's own frame.
 *
 * <p>Start at {@link penmirror.core.figure.Marks}. A landmark that cannot be seen is hidden, never
 * guessed: measures that need it give no reading.
 */
@NullMarked
package penmirror.core.figure;

import org.jspecify.annotations.NullMarked;
