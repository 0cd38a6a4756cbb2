/** The trait wall: one statement asked of every work at once. */
@NullMarked
package penmirror.web.traits;

import org.jspecify.annotations.NullMarked;
