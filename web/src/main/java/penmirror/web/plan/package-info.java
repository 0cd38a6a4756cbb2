/** The rules set out on a canvas. */
@NullMarked
package penmirror.web.plan;

import org.jspecify.annotations.NullMarked;
