/** Taking pictures in and showing them on the wall. Works and their files are kept here. */
@NullMarked
package penmirror.web.gather;

import org.jspecify.annotations.NullMarked;
