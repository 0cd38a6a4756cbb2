package penmirror.core.measure;

import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.geometry.Point;

/**
 * The colour of one role of a figure, found by itself.
 *
 * @param shareOfFigure (0, 1]
 * @param place well inside its shadow, or inside its base where it has none; pixels of the picture
 */
public record RoleTones(Role role, Tones tones, double shareOfFigure, Point place) {}
