// How one picture is laid over another by hand: moved, sized, turned. A state is never changed, each
// step makes a new one; no page is known here.

/**
 * A place on the picture beneath, in its pixels.
 * @typedef {{x: number, y: number}}
 */
export let Place;

const SMALLEST = 0.2;
const LARGEST = 5;

export class Laid {
  /**
   * x' = a x − b y + e and y' = b x + a y + f, in pixels of the picture beneath.
   * @param {number} a
   * @param {number} b
   * @param {number} e
   * @param {number} f
   */
  constructor(a, b, e, f) {
    /** @const {number} */ this.a = a;
    /** @const {number} */ this.b = b;
    /** @const {number} */ this.e = e;
    /** @const {number} */ this.f = f;
  }

  /**
   * As the page laid it.
   * @return {!Laid}
   */
  static asItWas() {
    return new Laid(1, 0, 0, 0);
  }

  /**
   * What `text` wrote; as it was where nothing was kept or it cannot be read.
   * @param {?string} text
   * @return {!Laid}
   */
  static read(text) {
    try {
      const [a, b, e, f] = /** @type {!Array<number>} */ (JSON.parse(text ?? ''));
      const size = Math.hypot(a, b);
      if ([a, b, e, f].every(Number.isFinite) && size >= SMALLEST && size <= LARGEST) return new Laid(a, b, e, f);
    } catch {
      // Nothing kept, or another's.
    }
    return Laid.asItWas();
  }

  /** @return {string} */
  text() {
    return JSON.stringify([this.a, this.b, this.e, this.f]);
  }

  /** @return {boolean} */
  isAsItWas() {
    return this.text() === Laid.asItWas().text();
  }

  /**
   * @param {number} dx
   * @param {number} dy
   * @return {!Laid}
   */
  moved(dx, dy) {
    return new Laid(this.a, this.b, this.e + dx, this.f + dy);
  }

  /**
   * Larger by a factor, within what can still be seen; the place stays where it is.
   * @param {number} factor above 0
   * @param {!Place} at
   * @return {!Laid}
   */
  sized(factor, at) {
    const size = Math.hypot(this.a, this.b);
    return this.about(Math.max(SMALLEST, Math.min(LARGEST, size * factor)) / size, 0, at);
  }

  /**
   * @param {number} degrees clockwise
   * @param {!Place} at stays where it is
   * @return {!Laid}
   */
  turned(degrees, at) {
    const angle = degrees * Math.PI / 180;
    return this.about(Math.cos(angle), Math.sin(angle), at);
  }

  /**
   * @param {number} a
   * @param {number} b
   * @param {!Place} at
   * @return {!Laid}
   */
  about(a, b, at) {
    const x = this.e - at.x;
    const y = this.f - at.y;
    return new Laid(a * this.a - b * this.b, b * this.a + a * this.b, at.x + a * x - b * y, at.y + b * x + a * y);
  }

  /**
   * As an SVG says it.
   * @return {string}
   */
  transform() {
    const of = (value) => String(Number(value.toFixed(6)));
    return `matrix(${of(this.a)} ${of(this.b)} ${of(-this.b)} ${of(this.a)} ${of(this.e)} ${of(this.f)})`;
  }
}
