/**
 * Files of pictures: told by content, opened within limits, colours brought to sRGB. Start at
 * {@link penmirror.core.file.PictureReader}.
 */
@NullMarked
package penmirror.core.file;

import org.jspecify.annotations.NullMarked;
