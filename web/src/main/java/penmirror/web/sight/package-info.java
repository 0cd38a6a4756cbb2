/**
 * The machine looks first: what a picture shows before anybody has looked, and what is proposed
 * beside what is marked. Start at {@link penmirror.web.sight.FirstLooking}.
 */
@NullMarked
package penmirror.web.sight;

import org.jspecify.annotations.NullMarked;
