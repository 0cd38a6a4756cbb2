/** The figure model: head, hair, body, clothes and props drawn from parameters and a pose. */
@NullMarked
package penmirror.demoart.figure;

import org.jspecify.annotations.NullMarked;
