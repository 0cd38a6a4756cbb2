/** The sheet of rules over a study's works. Start at {@link penmirror.web.rules.SheetMaker}. */
@NullMarked
package penmirror.web.rules;

import org.jspecify.annotations.NullMarked;
