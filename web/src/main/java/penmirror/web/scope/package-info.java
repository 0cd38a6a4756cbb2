/**
 * What a study is about: its kind, its place on a path, what the own character asks of it, and what
 * was seen of the illustrator at work.
 */
@NullMarked
package penmirror.web.scope;

import org.jspecify.annotations.NullMarked;
