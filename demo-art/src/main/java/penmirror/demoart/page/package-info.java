/** A drawn page: its parts and lines in order, inked, painted, and written in open formats. */
@NullMarked
package penmirror.demoart.page;

import org.jspecify.annotations.NullMarked;
