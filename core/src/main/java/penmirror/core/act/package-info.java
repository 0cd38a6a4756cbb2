/**
 * What a hand does in one go: several readings that move together are one act, and acts are what is
 * weighed, told and mended.
 *
 * <p>Start at {@link penmirror.core.act.Acts}.
 */
@NullMarked
package penmirror.core.act;

import org.jspecify.annotations.NullMarked;
