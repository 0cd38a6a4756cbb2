/**
 * What the core found, in sentences of the desk: rules, misses, what to do. Everything else holds
 * numbers and identities; a second language changes the texts and this package.
 *
 * <p>Start at {@link penmirror.core.telling.ActWords}.
 */
@NullMarked
package penmirror.core.telling;

import org.jspecify.annotations.NullMarked;
