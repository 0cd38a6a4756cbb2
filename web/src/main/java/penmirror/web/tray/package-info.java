/**
 * The scan tray: a folder into which a scanner delivers pages, and the cleaning of each before it
 * is taken into a study. Start at {@link penmirror.web.tray.Tray}.
 */
@NullMarked
package penmirror.web.tray;

import org.jspecify.annotations.NullMarked;
