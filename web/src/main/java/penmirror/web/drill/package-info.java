/** Five minutes for the eye: a colour of the works matched on neutral grey. */
@NullMarked
package penmirror.web.drill;

import org.jspecify.annotations.NullMarked;
