/** Looking at one work: parts picked to draw from, figures framed, notes drawn over it. */
@NullMarked
package penmirror.web.look;

import org.jspecify.annotations.NullMarked;
