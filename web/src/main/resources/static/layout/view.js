// Which part of a picture is seen. A view is never changed, moves make a new one; no page is known
// here, so all of it runs without one.

/**
 * A place on a picture, in its pixels; or a place on the screen, in the screen's.
 * @typedef {{x: number, y: number}}
 */
export let Place;

/**
 * What is measured of a box on the screen.
 * @typedef {{left: number, top: number, width: number, height: number}}
 */
export let Box;

export class View {
  /**
   * @param {number} x left edge, pixels of the picture
   * @param {number} y
   * @param {number} width
   * @param {number} height
   */
  constructor(x, y, width, height) {
    /** @const {number} */ this.x = x;
    /** @const {number} */ this.y = y;
    /** @const {number} */ this.width = width;
    /** @const {number} */ this.height = height;
  }

  /**
   * The whole picture in the middle of a box, with some room around it.
   * @param {{width: number, height: number}} picture
   * @param {{width: number, height: number}} box
   * @param {number} margin how much larger than the picture the view is at least
   * @return {!View}
   */
  static fitted(picture, box, margin) {
    const ratio = box.width / Math.max(1, box.height);
    let width = picture.width * margin;
    let height = picture.height * margin;
    if (width / height > ratio) height = width / ratio; else width = height * ratio;
    return new View((picture.width - width) / 2, (picture.height - height) / 2, width, height);
  }

  /**
   * As high as asked, about a place, in the shape of a box.
   * @param {!Place} middle
   * @param {number} height
   * @param {{width: number, height: number}} box
   * @return {!View}
   */
  static about(middle, height, box) {
    const width = height * (box.width / Math.max(1, box.height));
    return new View(middle.x - width / 2, middle.y - height / 2, width, height);
  }

  /**
   * Closer by a factor above one; the place stays where it is on the screen.
   * @param {number} factor
   * @param {!Place} at
   * @param {number} least width, pixels of the picture
   * @param {number} most
   * @return {!View}
   */
  zoomed(factor, at, least, most) {
    const width = Math.max(least, Math.min(most, this.width / factor));
    const k = width / this.width;
    return new View(at.x - (at.x - this.x) * k, at.y - (at.y - this.y) * k, width, this.height * k);
  }

  /**
   * @param {number} dx pixels of the picture
   * @param {number} dy
   * @return {!View}
   */
  moved(dx, dy) {
    return new View(this.x + dx, this.y + dy, this.width, this.height);
  }

  /**
   * This view where it holds a place well inside, or else one with the place in its middle.
   * @param {!Place} place
   * @return {!View}
   */
  showing(place) {
    const edge = 0.04 * this.height;
    const isIn = place.x > this.x + edge && place.x < this.x + this.width - edge &&
      place.y > this.y + edge && place.y < this.y + this.height - edge;
    return isIn ? this : new View(place.x - this.width / 2, place.y - this.height / 2, this.width, this.height);
  }

  /** @return {!Place} */
  middle() {
    return { x: this.x + this.width / 2, y: this.y + this.height / 2 };
  }

  /**
   * Where on the picture something on the screen is.
   * @param {{clientX: number, clientY: number}} screen
   * @param {!Box} box that the view is seen in
   * @return {!Place}
   */
  placeOf(screen, box) {
    return {
      x: this.x + ((screen.clientX - box.left) / box.width) * this.width,
      y: this.y + ((screen.clientY - box.top) / box.height) * this.height,
    };
  }

  /**
   * Pixels of the picture per pixel of the screen.
   * @param {{width: number}} box
   * @return {number}
   */
  pixel(box) {
    return this.width / Math.max(1, box.width);
  }

  /** @return {string} as an SVG says it */
  viewBox() {
    return `${this.x} ${this.y} ${this.width} ${this.height}`;
  }
}
