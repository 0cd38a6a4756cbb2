/** Loads the demo studio once. */
@NullMarked
package penmirror.web.demo;

import org.jspecify.annotations.NullMarked;
