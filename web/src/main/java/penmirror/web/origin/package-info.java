/** Where in the picture each reading from the pixels comes from, and what counts as figure. */
@NullMarked
package penmirror.web.origin;

import org.jspecify.annotations.NullMarked;
