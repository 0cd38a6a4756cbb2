/** Speed of the measures, by JMH. Never part of the tests: machines are noisy. */
@NullMarked
package penmirror.benchmark;

import org.jspecify.annotations.NullMarked;
