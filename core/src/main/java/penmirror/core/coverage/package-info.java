/**
 * What a study has seen and what it has not: parts by view, what a gap costs, which picture to look
 * at for a part. Start at {@link penmirror.core.coverage.Coverage}.
 */
@NullMarked
package penmirror.core.coverage;

import org.jspecify.annotations.NullMarked;
