/**
 * Where the landmarks of a figure probably are, from its pixels and from works already marked.
 *
 * <p>Start at {@link penmirror.core.proposal.Proposer}. A proposal is an offer with a stated
 * confidence; only a hand makes it a mark. The method and its figures stand in docs/proposals.md.
 */
@NullMarked
package penmirror.core.proposal;

import org.jspecify.annotations.NullMarked;
