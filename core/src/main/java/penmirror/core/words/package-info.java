/**
 * Texts, numbers and amounts as a desk says them.
 *
 * <p>Start at {@link penmirror.core.words.Wording}; amounts in words are in {@link
 * penmirror.core.words.Spoken}. Whole sentences about rules and fixes are made in {@code
 * core.telling}.
 */
@NullMarked
package penmirror.core.words;

import org.jspecify.annotations.NullMarked;
