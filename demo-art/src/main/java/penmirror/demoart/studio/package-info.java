/** The invented people of the demo: illustrators, those they draw, and the pictures they made. */
@NullMarked
package penmirror.demoart.studio;

import org.jspecify.annotations.NullMarked;
