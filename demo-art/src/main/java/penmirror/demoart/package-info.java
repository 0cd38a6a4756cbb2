/**
 * Draws figures whose true values are known: invented people by invented illustrators.
 *
 * <p>Start at {@link penmirror.demoart.DemoStudio}. A figure is drawn once in its own coordinates
 * (620 by 880, crown at 92, ground at 789) and bent by a {@link penmirror.demoart.Warp}; its
 * landmarks go through the same warp, so the truth is known without measuring. May use the core's
 * geometry, colour and figure, never its measures: truth must not come from the code under test.
 */
@NullMarked
package penmirror.demoart;

import org.jspecify.annotations.NullMarked;
