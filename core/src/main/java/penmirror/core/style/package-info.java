/**
 * From the readings of several works to one sheet of rules. Start at {@link
 * penmirror.core.style.StyleSheet}.
 */
@NullMarked
package penmirror.core.style;

import org.jspecify.annotations.NullMarked;
