/**
 * The command line: one class a command, the same core as the application, no server and no
 * database. Start at {@link penmirror.commandline.CommandLineTools}.
 *
 * <p>Results go to standard output, messages to standard error. Exit 0 done, 1 an input could not
 * be used (the others went on), 2 wrong usage.
 */
@NullMarked
package penmirror.commandline;

import org.jspecify.annotations.NullMarked;
