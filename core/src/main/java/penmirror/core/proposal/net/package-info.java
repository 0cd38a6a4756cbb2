/** A small trained network: what it computes, and how its weights are kept. */
@NullMarked
package penmirror.core.proposal.net;

import org.jspecify.annotations.NullMarked;
