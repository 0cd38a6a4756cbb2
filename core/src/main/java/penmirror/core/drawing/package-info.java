/**
 * Drawings made by the program: a scene of lines, fields, words and pictures in named layers, and
 * the only writers of SVG and PDF. Start at {@link penmirror.core.drawing.Scene}.
 */
@NullMarked
package penmirror.core.drawing;

import org.jspecify.annotations.NullMarked;
