/**
 * Long tests, run by {@code ./pen-mirror test --long}: {@link penmirror.reliability.Fuzzing},
 * {@link penmirror.reliability.Killing}.
 */
package penmirror.reliability;
