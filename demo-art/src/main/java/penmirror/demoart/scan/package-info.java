/** A simulated scanner: a drawing on paper, scanned as such machines do, faults included. */
@NullMarked
package penmirror.demoart.scan;

import org.jspecify.annotations.NullMarked;
