/**
 * What is known of each work: markings placed by hand and readings made from its pixels in the
 * background. Start at {@link penmirror.web.evidence.EvidenceFinder}.
 */
@NullMarked
package penmirror.web.evidence;

import org.jspecify.annotations.NullMarked;
