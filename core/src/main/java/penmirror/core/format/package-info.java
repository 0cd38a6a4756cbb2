/** Open files: marks, style sheets, readings and scores as JSON; the guide as SVG. */
@NullMarked
package penmirror.core.format;

import org.jspecify.annotations.NullMarked;
