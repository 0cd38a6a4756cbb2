/** The bench: landmarks placed by hand, readings that follow them. */
@NullMarked
package penmirror.web.measure;

import org.jspecify.annotations.NullMarked;
