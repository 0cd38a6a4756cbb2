// One round of looking through: which work is shown, what is asked of it, and what was put right. No
// page is known here, so all of it runs without one.

/**
 * A place on a picture, in its pixels, and with what chance it is right.
 * @typedef {{x: number, y: number, chance: number}}
 */
export let At;

/**
 * A work as the server tells it.
 * @typedef {{
 *   id: number, number: number, title: string, picture: string, width: number, height: number,
 *   version: number, view: string, framing: ?string, mood: ?string, light: ?number,
 *   figure: !Array<number>, points: !Object<string, !At>, taken: !Array<string>,
 *   doubts: !Array<string>, asks: !Array<string>, figures: number
 * }}
 */
export let Card;

/**
 * One question: of a point by its key, of the view or the framing, or whether all looks right.
 * @typedef {{kind: string, key: string}}
 */
export let Question;

/** How much of a head is seen round it. */
const ROOM = 0.3;
const OF_THE_HEAD = /^(crown|chin|eye|nose|mouth|cheek|jaw|brow|hairline|iris|pupil|lash)/;

/**
 * What is asked of a work, in order; the last question is of all of it.
 * @param {!Card} card
 * @return {!Array<!Question>}
 */
export const questions = (card) => [
  ...card.asks.map((kind) => ({ kind, key: '' })),
  ...card.doubts.map((key) => ({ kind: 'point', key })),
  ...(card.asks.length + card.doubts.length ? [] : [{ kind: 'all', key: '' }]),
];

/**
 * The part of a picture that its head fills; empty where no head is known.
 * @param {!Card} card
 * @return {?{x: number, y: number, width: number, height: number}}
 */
export const headBox = (card) => {
  const known = Object.keys(card.points).filter((key) => OF_THE_HEAD.test(key)).map((key) => card.points[key]);
  if (known.length < 3) return null;
  const left = Math.min(...known.map((p) => p.x));
  const right = Math.max(...known.map((p) => p.x));
  const top = Math.min(...known.map((p) => p.y));
  const bottom = Math.max(...known.map((p) => p.y));
  const side = Math.max(right - left, bottom - top, 24);
  const room = ROOM * side;
  return { x: (left + right) / 2 - side / 2 - room, y: (top + bottom) / 2 - side / 2 - room, width: side + 2 * room, height: side + 2 * room };
};

export class Round {
  /** @param {!Array<!Card>} cards the most doubtful first */
  constructor(cards) {
    /** @type {!Array<!Card>} */ this.cards = cards;
    /** @type {?Card} */ this.card = null;
    /** @type {!Array<!Question>} */ this.asked = [];
    this.at = 0;
    /** Keys of points that are not in the picture. @type {!Set<string>} */
    this.hidden = new Set();
    /** @type {!Array<{points: !Object<string, !At>, hidden: !Set<string>, at: number}>} */
    this.steps = [];
    /** Works that were said to be right, by id, with their number. @type {!Map<number, !Card>} */
    this.done = new Map();
    if (cards.length) this.open(cards[0].id);
  }

  /** @param {number} id of a work that waits */
  open(id) {
    const card = this.cards.find((one) => one.id === id) ?? null;
    this.card = card;
    this.asked = card ? questions(card) : [];
    this.at = 0;
    this.hidden = new Set();
    this.steps = [];
  }

  /** @return {?Question} */
  question() {
    return this.asked[this.at] ?? null;
  }

  /** The point that is asked about, or ''. @return {string} */
  point() {
    const question = this.question();
    return question && question.kind === 'point' ? question.key : '';
  }

  /** @private */
  remember() {
    const points = this.card ? { ...this.card.points } : {};
    this.steps.push({ points, hidden: new Set(this.hidden), at: this.at });
  }

  /** @return {boolean} */
  undo() {
    const step = this.steps.pop();
    if (!step || !this.card) return false;
    this.card.points = step.points;
    this.hidden = step.hidden;
    this.at = step.at;
    return true;
  }

  /**
   * @param {string} key
   * @param {number} x
   * @param {number} y
   * @param {boolean=} isNew whether this begins a move that undo takes back
   */
  place(key, x, y, isNew = true) {
    if (!this.card) return;
    if (isNew) this.remember();
    const { width, height } = this.card;
    this.hidden.delete(key);
    this.card.points[key] = {
      x: Math.max(0, Math.min(width, Math.round(10 * x) / 10)),
      y: Math.max(0, Math.min(height, Math.round(10 * y) / 10)),
      chance: 1,
    };
  }

  /**
   * @param {number} dx
   * @param {number} dy
   */
  nudge(dx, dy) {
    const key = this.point();
    const at = key && this.card ? this.card.points[key] : null;
    if (at) this.place(key, at.x + dx, at.y + dy);
  }

  /** The question is answered; what it asked stands. @return {boolean} whether it was the last */
  right() {
    if (!this.card) return false;
    this.remember();
    const key = this.point();
    if (key && this.card.points[key]) this.card.points[key] = /** @type {!At} */ ({ ...this.card.points[key], chance: 1 });
    if (this.at + 1 >= this.asked.length) return true;
    this.at += 1;
    return false;
  }

  /** The point is not in the picture. @return {boolean} whether it was the last question */
  hide() {
    const key = this.point();
    if (!key) return false;
    this.remember();
    this.hidden.add(key);
    if (this.at + 1 >= this.asked.length) return true;
    this.at += 1;
    return false;
  }

  /** @param {number} step 1 to the next question, -1 to the one before */
  go(step) {
    this.at = Math.max(0, Math.min(this.asked.length - 1, this.at + step));
  }

  /** A point that somebody touches is asked about next. @param {string} key */
  ask(key) {
    const there = this.asked.findIndex((question) => question.key === key);
    if (there >= 0) { this.at = there; return; }
    const all = this.asked.findIndex((question) => question.kind === 'all');
    if (all >= 0) this.asked.splice(all, 1, { kind: 'point', key });
    else this.asked.splice(this.at, 0, { kind: 'point', key });
    this.at = this.asked.findIndex((question) => question.key === key);
  }

  /** The work after or before this one among those that wait. @param {number} step */
  other(step) {
    if (!this.card) return;
    const here = this.cards.indexOf(this.card);
    const next = this.cards[here + step];
    if (next) this.open(next.id);
  }

  /** Works of which nothing is asked, other than the one that is shown. @return {!Array<!Card>} */
  sure() {
    return this.cards.filter((card) => card !== this.card && isSure(card));
  }

  /** Works of which something is asked, other than the one that is shown. @return {!Array<!Card>} */
  doubted() {
    return this.cards.filter((card) => card !== this.card && !isSure(card));
  }

  /**
   * A work is done with, and the next is shown.
   * @param {number} id
   */
  finish(id) {
    const card = this.cards.find((one) => one.id === id);
    if (!card) return;
    const here = this.cards.indexOf(card);
    this.cards = this.cards.filter((one) => one !== card);
    this.done.set(id, card);
    if (this.card === card) this.open(this.cards[Math.min(here, this.cards.length - 1)]?.id ?? -1);
  }

  /**
   * Cards as they are known now; the one that is shown stays as somebody has it.
   * @param {!Array<!Card>} fresh
   */
  renew(fresh) {
    const shown = this.card;
    const rest = fresh.filter((card) => !this.done.has(card.id) && card.id !== shown?.id);
    this.cards = shown && this.cards.includes(shown) ? [shown, ...rest] : rest;
    if (!shown && this.cards.length) this.open(this.cards[0].id);
  }
}

/**
 * @param {!Card} card
 * @return {boolean}
 */
export const isSure = (card) => card.asks.length + card.doubts.length === 0 && !(card.figures > 1);

/**
 * What is said of a work, as the server takes it.
 * @param {!Card} card
 * @param {!Set<string>} hidden
 * @return {!Object}
 */
export const said = (card, hidden) => {
  const landmarks = {};
  for (const [key, at] of Object.entries(card.points)) landmarks[key] = { x: at.x, y: at.y, state: 'placed' };
  for (const key of hidden) landmarks[key] = { state: 'hidden' };
  const { version, view, framing, mood, light } = card;
  return { version, view, framing, mood, light, landmarks: JSON.stringify(landmarks) };
};
