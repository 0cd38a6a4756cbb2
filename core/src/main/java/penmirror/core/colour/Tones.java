package penmirror.core.colour;

import java.util.Optional;

/**
 * How one local colour is laid in light and shadow.
 *
 * @param base what most of it is
 * @param shadow next darker value; empty where it is laid in no darker one
 * @param strip mean along the border between the two
 * @param highlight next lighter value; empty where it is laid in no lighter one
 */
public record Tones(
    OkLab base, Optional<OkLab> shadow, Optional<OkLab> strip, Optional<OkLab> highlight) {}
