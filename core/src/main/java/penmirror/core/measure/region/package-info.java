/**
 * What the flat regions of a picture say: steps between colours, shapes, parts and where things
 * sit. All is read on a small copy, so that readings do not depend on the resolution. Start at
 * {@link penmirror.core.measure.region.FlatPicture}.
 */
@NullMarked
package penmirror.core.measure.region;

import org.jspecify.annotations.NullMarked;
