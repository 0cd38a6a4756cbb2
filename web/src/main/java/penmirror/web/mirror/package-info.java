/** A redraw held against the sheet and against a source. */
@NullMarked
package penmirror.web.mirror;

import org.jspecify.annotations.NullMarked;
