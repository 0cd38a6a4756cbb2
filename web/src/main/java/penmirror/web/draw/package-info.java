/** The page beside the drawing board: what to look at, which figures, what to remember now. */
@NullMarked
package penmirror.web.draw;

import org.jspecify.annotations.NullMarked;
