/** Forms that must not do their work twice: a double click, or a reload of what was sent. */
@NullMarked
package penmirror.web.sending;

import org.jspecify.annotations.NullMarked;
