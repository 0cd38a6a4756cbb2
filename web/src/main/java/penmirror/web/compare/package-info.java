/** Two sheets side by side: what they share, and what differs most. */
@NullMarked
package penmirror.web.compare;

import org.jspecify.annotations.NullMarked;
