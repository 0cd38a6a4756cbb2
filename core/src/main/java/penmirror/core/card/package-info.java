/**
 * What a style does, part by part: each card answers one question with a drawing made from the
 * rules and a few sentences. Start at {@link penmirror.core.card.Card}.
 */
@NullMarked
package penmirror.core.card;

import org.jspecify.annotations.NullMarked;
