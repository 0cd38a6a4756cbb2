/** Who may ask: this machine alone, with CSRF tokens and a strict content policy. */
@NullMarked
package penmirror.web.security;

import org.jspecify.annotations.NullMarked;
