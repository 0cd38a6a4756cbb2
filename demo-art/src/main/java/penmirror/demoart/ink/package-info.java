/** Curves and strokes as filled outlines. Lengths are heads unless a name says otherwise. */
@NullMarked
package penmirror.demoart.ink;

import org.jspecify.annotations.NullMarked;
