/** Studies: the library page, and what every stage needs to know of a study. */
@NullMarked
package penmirror.web.studies;

import org.jspecify.annotations.NullMarked;
