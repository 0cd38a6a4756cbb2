/** What makes a hand: its parameters, their spread, and its colours. */
@NullMarked
package penmirror.demoart.manner;

import org.jspecify.annotations.NullMarked;
