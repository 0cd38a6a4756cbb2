/** Works beside the drawing board: on a second screen or tablet, with nothing else on the page. */
@NullMarked
package penmirror.web.desk;

import org.jspecify.annotations.NullMarked;
