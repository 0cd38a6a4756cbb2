/** The stage rail beside every page of a study: where one is, and how much is done. */
@NullMarked
package penmirror.web.rail;

import org.jspecify.annotations.NullMarked;
