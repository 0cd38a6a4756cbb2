package penmirror.demoart.figure;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import penmirror.core.figure.Landmark;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Placement;

/** Where a figure's landmarks truly are, in heads of the page, seen or not. */
final class Landmarks {
  private final EnumMap<Landmark, Point> places = new EnumMap<>(Landmark.class);
  private final Set<Landmark> turnedAway = EnumSet.noneOf(Landmark.class);
  private final Set<Landmark> bentUnder = EnumSet.noneOf(Landmark.class);

  void put(Landmark landmark, Placement frame, double x, double y) {
    places.put(landmark, frame.apply(new Point(x, y)));
  }

  void put(Landmark landmark, Point place) {
    places.put(landmark, place);
  }

  /** The place is known to the model, but lies on the far side of a turned head or body. */
  void away(Landmark landmark) {
    turnedAway.add(landmark);
  }

  /** The place is where the form ends; the tip itself lies bent under it. */
  void bentUnder(Landmark landmark) {
    bentUnder.add(landmark);
  }

  Map<Landmark, Point> places() {
    return places;
  }

  Set<Landmark> turnedAway() {
    return turnedAway;
  }

  Set<Landmark> bentUnder() {
    return bentUnder;
  }
}
