/** Line weight and darkness from the pixels. See {@link penmirror.core.measure.line.LineReader}. */
@NullMarked
package penmirror.core.measure.line;

import org.jspecify.annotations.NullMarked;
