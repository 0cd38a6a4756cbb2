/** Looking through: what the machine saw of each work, said right or put right by somebody. */
@NullMarked
package penmirror.web.through;

import org.jspecify.annotations.NullMarked;
