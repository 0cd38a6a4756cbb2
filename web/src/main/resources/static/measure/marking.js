// The marks of one figure, and all that a hand does to them: placing, pairs, doubts, taking back,
// marking a second time unseen. No page is known here, so all of it runs without one.

/**
 * Where a landmark is, and how sure that is.
 * @typedef {{x: (number|undefined), y: (number|undefined), state: string, confidence: (number|undefined)}}
 */
export let Mark;

/** @typedef {!Object<string, !Mark>} */
export let Landmarks;

/** @typedef {{landmarks: !Landmarks, active: string}} */
let Step;

/**
 * @param {!Landmarks} landmarks
 * @return {!Landmarks} with marks of their own
 */
export const copied = (landmarks) => /** @type {!Landmarks} */ (structuredClone(landmarks));

/** Places are kept to quarters of a pixel. */
const round = (/** number */ value) => Math.round(value * 4) / 4;

const STEPS_REMEMBERED = 500;
const SITTING_STEPS = 60;
/** Two points closer than this are no head. */
const LEAST_HEAD = 4;

export class Marking {
  /**
   * @param {{width: number, height: number}} picture
   * @param {!Landmarks} landmarks
   * @param {!Object<string, string>} mirrored every landmark with its other side, in the order of the roll
   */
  constructor(picture, landmarks, mirrored) {
    this.picture = picture;
    /** @type {!Landmarks} */
    this.landmarks = landmarks;
    this.mirrored = mirrored;
    /** @const {!Array<string>} */
    this.all = Object.keys(mirrored);
    /** The points asked for, in the order they are asked in. @type {!Array<string>} */
    this.order = this.all;
    /** @type {string} */
    this.active = this.all[0];
    /** Whether the other side moves along. */
    this.pairs = false;
    /** @type {!Array<!Step>} */
    this.undoSteps = [];
    /** @type {!Array<!Step>} */
    this.redoSteps = [];
    /** While marking again, unseen: the first marking, kept aside. @type {?{landmarks: !Landmarks, undo: !Array<!Step>, redo: !Array<!Step>}} */
    this.first = null;
  }

  /**
   * @param {string} key
   * @return {?{x: number, y: number}} nothing for a point that is not placed
   */
  place(key) {
    const mark = this.landmarks[key];
    if (mark?.x === undefined) return null;
    return { x: /** @type {number} */ (mark.x), y: /** @type {number} */ (mark.y) };
  }

  /**
   * The head's axis from crown to chin, with unit steps down it and across it to the figure's left.
   * @return {?{crown: {x: number, y: number}, length: number, down: {x: number, y: number}, across: {x: number, y: number}}}
   */
  head() {
    const crown = this.place('crown');
    const chin = this.place('chin');
    if (!crown || !chin) return null;
    const length = Math.hypot(chin.x - crown.x, chin.y - crown.y);
    if (length < LEAST_HEAD) return null;
    const down = { x: (chin.x - crown.x) / length, y: (chin.y - crown.y) / length };
    return { crown, length, down, across: { x: down.y, y: -down.x } };
  }

  // ---- what is asked -----------------------------------------------------------------------------

  /**
   * @param {!Array<string>} asked
   * @param {!RegExp} begins those that are asked first
   */
  askFor(asked, begins) {
    const known = this.all.filter((key) => asked.includes(key));
    this.order = [...known.filter((key) => begins.test(key)), ...known.filter((key) => !begins.test(key))];
    this.active = this.firstOpen();
  }

  /** @return {string} the first that is not marked, or the first of all */
  firstOpen() {
    return this.order.find((key) => !this.landmarks[key]) ?? this.order[0];
  }

  /** @return {string} the next that is not marked, round the end; or the one after this */
  nextOpen() {
    const from = this.order.indexOf(this.active);
    const ahead = [...this.order.slice(from + 1), ...this.order.slice(0, from)];
    return ahead.find((key) => !this.landmarks[key]) ?? this.order[Math.min(from + 1, this.order.length - 1)];
  }

  /** @param {number} step from here to another of the points asked for, round the ends */
  walk(step) {
    this.active = this.order[(this.order.indexOf(this.active) + step + this.order.length) % this.order.length];
  }

  /** @return {?string} the least sure of what is proposed; nothing where all is settled */
  mostDoubtful() {
    const open = this.order.filter((key) => this.landmarks[key]?.state === 'proposed' && key !== this.active);
    if (open.length === 0) return null;
    return open.reduce((a, b) => ((this.landmarks[a].confidence ?? 0) <= (this.landmarks[b].confidence ?? 0) ? a : b));
  }

  /** @return {boolean} */
  hasProposals() {
    return this.order.some((key) => this.landmarks[key]?.state === 'proposed');
  }

  /**
   * Proposed with less than even chances.
   * @param {!Mark|undefined} mark
   * @return {boolean}
   */
  static isDoubtful(mark) {
    return mark?.state === 'proposed' && (mark.confidence ?? 1) < 0.5;
  }

  /**
   * Marked points round a place, the nearest first.
   * @param {{x: number, y: number}} at
   * @param {number} reach pixels of the picture
   * @return {!Array<{key: string, away: number}>}
   */
  near(at, reach) {
    const found = [];
    for (const key of this.order) {
      const place = this.place(key);
      const away = place ? Math.hypot(place.x - at.x, place.y - at.y) : Infinity;
      if (away <= reach) found.push({ key, away });
    }
    return found.sort((a, b) => a.away - b.away);
  }

  // ---- placing -----------------------------------------------------------------------------------

  /**
   * @param {{x: number, y: number}} point
   * @return {{x: number, y: number}} on the picture
   */
  clamp(point) {
    return {
      x: Math.max(0, Math.min(this.picture.width, point.x)),
      y: Math.max(0, Math.min(this.picture.height, point.y)),
    };
  }

  /**
   * A place of the picture on the other side of the head's axis.
   * @param {{x: number, y: number}} point
   * @return {?{x: number, y: number}} nothing without a head
   */
  acrossTheAxis(point) {
    const head = this.head();
    if (!head) return null;
    const away = (point.x - head.crown.x) * head.across.x + (point.y - head.crown.y) * head.across.y;
    return { x: point.x - 2 * away * head.across.x, y: point.y - 2 * away * head.across.y };
  }

  /**
   * Puts a point; what only stood there by proposal is the hand's from then on.
   * @param {string} key
   * @param {{x: number, y: number}} point
   */
  put(key, point) {
    const place = this.clamp(point);
    const before = this.landmarks[key];
    const state = before && before.state !== 'hidden' && before.state !== 'proposed' ? before.state : 'placed';
    this.landmarks[key] = { x: round(place.x), y: round(place.y), state };
  }

  /**
   * The same, and with pairs on moves the other side along, in a mirror about the head's axis.
   * @param {string} key
   * @param {{x: number, y: number}} point
   */
  putPair(key, point) {
    this.put(key, point);
    const other = this.mirrored[key];
    const there = this.acrossTheAxis(/** @type {{x: number, y: number}} */ (this.place(key)));
    if (this.pairs && other !== key && there) this.put(other, there);
  }

  /**
   * @param {{x: number, y: number}} point for the active landmark
   */
  placeActive(point) {
    this.remember();
    this.putPair(this.active, point);
  }

  /**
   * @param {number} dx pixels of the picture
   * @param {number} dy
   * @return {boolean} whether there was a point to nudge
   */
  nudge(dx, dy) {
    const place = this.place(this.active);
    if (!place) return false;
    this.placeActive({ x: place.x + dx, y: place.y + dy });
    return true;
  }

  /** Takes the active point as it is proposed. */
  confirm() {
    this.remember();
    const place = this.place(this.active);
    if (place) this.landmarks[this.active] = { x: place.x, y: place.y, state: 'placed' };
  }

  /** Takes all that is proposed among the points asked for. */
  confirmAll() {
    this.remember();
    for (const key of this.order) {
      const mark = this.landmarks[key];
      if (mark?.state === 'proposed') this.landmarks[key] = { x: mark.x, y: mark.y, state: 'placed' };
    }
  }

  /**
   * Takes proposals for the points asked for; earlier proposals go, what a hand placed stays.
   * @param {!Landmarks} found
   * @return {{count: number, doubtful: number}}
   */
  propose(found) {
    this.remember();
    for (const key of Object.keys(this.landmarks)) {
      if (this.landmarks[key].state === 'proposed') delete this.landmarks[key];
    }
    let count = 0;
    let doubtful = 0;
    for (const key of this.order) {
      const mark = found[key];
      if (!mark || this.landmarks[key]) continue;
      const [x, y] = [mark.x, mark.y].map((value) => round(/** @type {number} */ (value)));
      this.landmarks[key] = { x, y, state: mark.state, confidence: mark.confidence };
      count += 1;
      if (Marking.isDoubtful(this.landmarks[key])) doubtful += 1;
    }
    return { count, doubtful };
  }

  /** @return {!Landmarks} what a hand placed or judged, without what is only proposed */
  known() {
    const known = {};
    for (const key of Object.keys(this.landmarks)) {
      if (this.landmarks[key].state !== 'proposed') known[key] = this.landmarks[key];
    }
    return known;
  }

  /**
   * The chances of what is proposed stay in the browser; they come back to points still there.
   * @param {!Landmarks} before
   */
  takeChances(before) {
    for (const key of Object.keys(before)) {
      const now = this.landmarks[key];
      const then = before[key];
      if (now?.state === 'proposed' && now.x === then.x && now.y === then.y) now.confidence = then.confidence;
    }
  }

  /** @return {boolean} whether the active point was mirrored to the other side, which is active then */
  mirrorActive() {
    const place = this.place(this.active);
    const other = this.mirrored[this.active];
    const there = place && this.acrossTheAxis(place);
    if (!there || other === this.active) return false;
    this.remember();
    this.put(other, there);
    if (this.order.includes(other)) this.active = other;
    return true;
  }

  /**
   * Three points of an iris's rim give its centre, edge and top.
   * @param {string} side l or r
   * @param {!Array<{x: number, y: number}>} rim
   * @return {boolean} false where the three lie on one line
   */
  placeIris(side, rim) {
    const [p, q, r] = rim;
    const d = 2 * (p.x * (q.y - r.y) + q.x * (r.y - p.y) + r.x * (p.y - q.y));
    if (Math.abs(d) < 1e-6) return false;
    const square = (/** {x: number, y: number} */ a) => a.x * a.x + a.y * a.y;
    const centre = {
      x: (square(p) * (q.y - r.y) + square(q) * (r.y - p.y) + square(r) * (p.y - q.y)) / d,
      y: (square(p) * (r.x - q.x) + square(q) * (p.x - r.x) + square(r) * (q.x - p.x)) / d,
    };
    const radius = Math.hypot(p.x - centre.x, p.y - centre.y);
    this.remember();
    this.put(`iris_${side}_centre`, centre);
    this.put(`iris_${side}_edge`, { x: centre.x + (side === 'l' ? -radius : radius), y: centre.y });
    this.put(`iris_${side}_top`, { x: centre.x, y: centre.y - radius });
    return true;
  }

  /** The active point cannot be seen, or can again. */
  toggleHidden() {
    this.remember();
    if (this.landmarks[this.active]?.state === 'hidden') delete this.landmarks[this.active];
    else this.landmarks[this.active] = { state: 'hidden' };
  }

  /**
   * The active point is judged rather than seen, or seen after all.
   * @param {{x: number, y: number}} pointer where it is put when it was not placed yet
   */
  toggleEstimated(pointer) {
    this.remember();
    const mark = this.landmarks[this.active];
    if (mark?.x !== undefined) {
      mark.state = mark.state === 'estimated' ? 'placed' : 'estimated';
    } else {
      this.put(this.active, pointer);
      this.landmarks[this.active].state = 'estimated';
    }
  }

  /** @return {boolean} whether there was something to take away */
  remove() {
    if (!this.landmarks[this.active]) return false;
    this.remember();
    delete this.landmarks[this.active];
    return true;
  }

  // ---- taking back -------------------------------------------------------------------------------

  /** Before anything is changed: how it stands now can be had again. */
  remember() {
    this.rememberAs(copied(this.landmarks), this.active);
  }

  /**
   * @param {!Landmarks} landmarks as they stood
   * @param {string} active
   */
  rememberAs(landmarks, active) {
    this.redoSteps = [];
    this.undoSteps.push({ landmarks, active });
    if (this.undoSteps.length > STEPS_REMEMBERED) this.undoSteps.shift();
  }

  /** @return {boolean} whether there was a step to take back */
  undo() {
    return this.step(this.undoSteps, this.redoSteps);
  }

  /** @return {boolean} */
  redo() {
    return this.step(this.redoSteps, this.undoSteps);
  }

  /**
   * @param {!Array<!Step>} from
   * @param {!Array<!Step>} to
   * @return {boolean}
   * @private
   */
  step(from, to) {
    const step = from.pop();
    if (!step) return false;
    to.push({ landmarks: copied(this.landmarks), active: this.active });
    this.landmarks = step.landmarks;
    if (this.order.includes(step.active)) this.active = step.active;
    return true;
  }

  /** The newest steps, so that taking back works on after the page was left. */
  sitting() {
    return { undo: this.undoSteps.slice(-SITTING_STEPS), redo: this.redoSteps.slice(-SITTING_STEPS) };
  }

  /** @param {{undo: !Array<!Step>, redo: !Array<!Step>}} sitting */
  resume(sitting) {
    this.undoSteps = sitting.undo;
    this.redoSteps = sitting.redo;
  }

  // ---- marking again, unseen ---------------------------------------------------------------------

  /** Nothing of the first marking may be seen or come back: no point of it, and no step. */
  beginUnseen() {
    this.first = { landmarks: this.landmarks, undo: this.undoSteps, redo: this.redoSteps };
    this.landmarks = {};
    this.undoSteps = [];
    this.redoSteps = [];
    this.active = this.firstOpen();
  }

  /** @return {!Landmarks} the second marking; the first is there again, with all its steps */
  endUnseen() {
    const second = this.landmarks;
    const first = this.first;
    if (!first) throw new Error('Nothing is being marked a second time.');
    this.landmarks = first.landmarks;
    this.undoSteps = first.undo;
    this.redoSteps = first.redo;
    this.first = null;
    return second;
  }
}
