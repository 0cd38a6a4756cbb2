/**
 * From a scanned page to a clean picture: straightened, evenly lit, white where the paper is.
 *
 * <p>Start at {@link penmirror.core.scan.ScanCleaner}.
 */
@NullMarked
package penmirror.core.scan;

import org.jspecify.annotations.NullMarked;
