/** The sheet of rules over a study's works, as a page. */
@NullMarked
package penmirror.web.rules;

import org.jspecify.annotations.NullMarked;
