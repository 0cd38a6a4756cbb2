/** The first page: every study as a figure in a line-up, with what comes next. */
@NullMarked
package penmirror.web.library;

import org.jspecify.annotations.NullMarked;
