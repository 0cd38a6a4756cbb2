/** How a body stands: joints in space, turned and laid onto the page. */
@NullMarked
package penmirror.demoart.pose;

import org.jspecify.annotations.NullMarked;
