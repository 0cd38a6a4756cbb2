// The free ruler: two points, and once there are three the angle at the middle one.

/** @typedef {{x: number, y: number}} */
let Place;

export class Ruler {
  constructor() {
    /** @type {!Array<!Place>} */
    this.points = [];
  }

  /** @param {!Place} place the next corner; after three it begins anew */
  lay(place) {
    if (this.points.length === 3) this.points = [];
    this.points.push(place);
  }

  clear() {
    this.points = [];
  }

  /** @return {?number} the length of its last stretch, pixels of the picture */
  length() {
    if (this.points.length < 2) return null;
    const [a, b] = this.points.slice(-2);
    return Math.hypot(b.x - a.x, b.y - a.y);
  }

  /** @return {?number} degrees between its two stretches, 0 to 180 */
  angle() {
    if (this.points.length < 3) return null;
    const [a, middle, b] = this.points;
    const turn = (/** !Place */ p) => Math.atan2(p.y - middle.y, p.x - middle.x);
    const between = Math.abs(turn(a) - turn(b)) * 180 / Math.PI;
    return Math.min(between, 360 - between);
  }
}
