/**
 * A redraw held against one single picture, as in a copy study: how alike the two are once laid
 * over each other, and in what. Start at {@link penmirror.core.copying.CopyLikeness}.
 */
@NullMarked
package penmirror.core.copying;

import org.jspecify.annotations.NullMarked;
