/**
 * What is made of a study: its evidence, its sheets, its scores. Loaded once and kept for as long
 * as nothing of the study changes; start at {@link penmirror.web.sheets.SheetMaker}.
 */
@NullMarked
package penmirror.web.sheets;

import org.jspecify.annotations.NullMarked;
