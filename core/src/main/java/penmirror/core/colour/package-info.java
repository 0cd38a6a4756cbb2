/**
 * Colours and the distance between them.
 *
 * <p>One type per meaning, so that a gamma mistake does not compile: {@link
 * penmirror.core.colour.EncodedSrgb} is what a file holds, {@link penmirror.core.colour.OkLab} is
 * what we work in, {@link penmirror.core.colour.Lab} is what differences are reported in. White is
 * D65.
 */
@NullMarked
package penmirror.core.colour;

import org.jspecify.annotations.NullMarked;
