/** What a style does, part by part: a grid of cards, each opening large. */
@NullMarked
package penmirror.web.cards;

import org.jspecify.annotations.NullMarked;
