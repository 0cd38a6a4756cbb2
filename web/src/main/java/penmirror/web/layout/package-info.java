/** What all pages share: the frame, the rail, faults told in plain words. */
@NullMarked
package penmirror.web.layout;

import org.jspecify.annotations.NullMarked;
