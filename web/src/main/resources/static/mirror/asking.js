// The few points of a dropped redraw that are not sure, asked on its verdict one by one. Each answer
// is kept at once, and the verdict is made anew with it.

import { fill, headers, lettersOn, typing } from '../layout/studio.js';
import { make } from '../layout/svg.js';
import { headBox, Round } from '../through/round.js';

const STEPS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
/** How much of the head's height is seen round a point. */
const CLOSE = 0.45;

/**
 * The landmarks as they are kept after an answer: the point as it was answered, and with the last
 * answer all that was taken.
 * @param {!Object<string, !Object>} before
 * @param {!Round} round
 * @param {!Array<string>} answered keys
 * @param {boolean} isLast
 * @return {!Object<string, !Object>}
 */
export const answeredMarks = (before, round, answered, isLast) => {
  const marks = { ...before };
  const { card } = round;
  if (!card) return marks;
  const stands = isLast ? [...answered, ...card.taken.filter((key) => before[key]?.state !== 'placed')] : answered;
  for (const key of stands) {
    const at = card.points[key];
    if (round.hidden.has(key)) marks[key] = { state: 'hidden' };
    else if (at) marks[key] = { x: at.x, y: at.y, state: 'placed' };
  }
  return marks;
};

class Asking {
  /** @param {!Element} section */
  constructor(section) {
    this.section = section;
    this.data = section.dataset;
    this.svg = section.querySelector('svg');
    this.isSending = false;
    this.round = new Round([]);
    /** The landmarks as they are kept. @type {!Object<string, !Object>} */
    this.marks = {};
    this.version = 0;
    section.querySelectorAll('[data-answer]').forEach((button) => {
      button.addEventListener('click', () => this.answer(button.dataset.answer === 'right'));
    });
    this.svg.addEventListener('pointerdown', (event) => {
      if (!this.round.point() || event.button > 0) return;
      const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(this.svg.getScreenCTM().inverse());
      this.round.place(this.round.point(), at.x, at.y);
      this.draw();
    });
    document.addEventListener('keydown', (event) => this.key(event));
  }

  async begin() {
    const answer = await fetch(this.data.open, { headers: { Accept: 'application/json' } });
    if (answer.status !== 200) return;
    const { 'card': card, 'landmarks': landmarks, 'marksVersion': marksVersion } = await answer.json();
    this.marks = /** @type {!Object<string, !Object>} */ (JSON.parse(landmarks));
    this.version = marksVersion;
    this.round = new Round([card]);
    this.section.hidden = false;
    document.body.classList.add('still-open');
    this.svg.querySelector('image').setAttribute('href', `/pictures/${card.picture}`);
    this.svg.querySelector('image').setAttribute('width', card.width);
    this.svg.querySelector('image').setAttribute('height', card.height);
    this.draw();
    if (document.activeElement === document.body) this.svg.focus({ preventScroll: true });
  }

  draw() {
    const { card } = this.round;
    if (!card) return;
    const key = this.round.point();
    this.section.dataset.pointAsked = key;
    const head = headBox(card) ?? { x: 0, y: 0, width: card.width, height: card.height };
    const at = key ? card.points[key] : { x: head.x + head.width / 2, y: head.y + head.height / 2 };
    const side = key ? CLOSE * head.height : head.height;
    this.svg.setAttribute('viewBox', `${at.x - side / 2} ${at.y - side / 2} ${side} ${side}`);
    const group = this.svg.querySelector('g');
    group.replaceChildren();
    const pixel = side / Math.max(1, this.svg.clientWidth);
    for (const [name, p] of Object.entries(card.points)) {
      if (key && name !== key) continue;
      const mark = make('g', { class: 'point', transform: `translate(${p.x} ${p.y}) scale(${pixel})` }, group);
      const cross = key ? 'M-22 0H-4M4 0H22M0 -22V-4M0 4V22' : 'M-5 0H5M0 -5V5';
      make('path', { class: 'halo', d: cross }, mark);
      make('path', { class: 'jaws', d: cross }, mark);
    }
    const name = this.section.querySelector(`[data-landmark="${key}"]`)?.textContent ?? '';
    this.section.querySelector('h2').textContent = key ? fill(this.data.point, name.charAt(0).toLowerCase() + name.slice(1)) : this.data.all;
    this.section.querySelector('[data-answer="hidden"]').hidden = !key;
    const left = this.round.asked.length - 1;
    this.section.querySelector('.left-to-ask').textContent = left > 0 ? fill(this.data.left, left) : '';
  }

  tell(text) {
    const fault = this.section.querySelector('.fault');
    fault.textContent = text;
    fault.hidden = text === '';
  }

  /** @param {boolean} isRight whether it stands; else it is not in the picture */
  async answer(isRight) {
    if (this.isSending) return;
    this.isSending = true;
    const key = this.round.point();
    const isLast = isRight ? this.round.right() : this.round.hide();
    const body = JSON.stringify(answeredMarks(this.marks, this.round, key ? [key] : [], isLast));
    try {
      const answer = await fetch(this.data.save, {
        method: 'POST', body,
        headers: { 'Content-Type': 'application/json', 'X-Marks-Version': String(this.version), ...headers() },
      });
      if (answer.ok) { window.location.reload(); return; }
      this.tell(answer.status === 409 ? this.data.elsewhere : this.data.lost);
    } catch {
      this.tell(this.data.lost);
    }
    this.round.undo();
    this.isSending = false;
  }

  key(event) {
    if (this.section.hidden || typing(event)) return;
    const isHere = this.section.contains(event.target) || event.target === document.body;
    const step = STEPS[event.key];
    if (step && isHere && this.round.point()) {
      const far = event.shiftKey ? 10 : 1;
      this.round.nudge(step[0] * far, step[1] * far);
      this.draw();
    } else if (event.key === 'Enter' && isHere && !event.target.closest('button, a')) {
      this.answer(true);
    } else if (lettersOn() && event.key.toLowerCase() === 'n' && isHere && this.round.point()) {
      this.answer(false);
    } else {
      return;
    }
    event.preventDefault();
    event.stopImmediatePropagation();
  }
}

/** @param {?Element} section of a verdict; nothing on a page without one */
export const ask = (section) => {
  if (section) new Asking(section).begin().catch(() => {});
};
