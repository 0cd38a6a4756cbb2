/**
 * The one door to pictures: whoever wants the pixels of a file asks {@link
 * penmirror.web.opening.PictureOpener}.
 */
@NullMarked
package penmirror.web.opening;

import org.jspecify.annotations.NullMarked;
