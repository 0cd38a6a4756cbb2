/**
 * Draws figures whose true values are known: invented people by invented illustrators.
 *
 * <p>Parameters go in, a finished picture comes out with the truth beside it. Start at {@link
 * penmirror.demoart.studio.DemoStudio}. The stages of the work: {@code manner} (what makes a hand),
 * {@code pose} (joints in space), {@code figure} (head, hair, body, clothes), {@code page} (inking,
 * painting, files), {@code studio} (people and pictures), {@code scan} (a simulated scanner). May
 * use the core's geometry, colour and figure, never its measures: truth must not come from the code
 * under test.
 */
@NullMarked
package penmirror.demoart;

import org.jspecify.annotations.NullMarked;
