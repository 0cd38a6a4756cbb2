/** How layers laid over one another mix, and which layer brings a colour to where it should be. */
@NullMarked
package penmirror.core.mixing;

import org.jspecify.annotations.NullMarked;
