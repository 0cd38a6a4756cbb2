/**
 * The rules carried to a canvas: construction lines, brush sizes, swatches. Start at {@link
 * penmirror.core.planning.GuidePlan}.
 */
@NullMarked
package penmirror.core.planning;

import org.jspecify.annotations.NullMarked;
