// Draws marks, guides and rulers over the picture, and the roll beside it. Nothing is changed here.

import { make } from '../layout/svg.js';
import { Mark, Marking } from './marking.js';

/** Points of the head lie close together, and are drawn smaller. */
const CLOSE = /^(eye|nose|mouth)/;
const JAWS = 'M-3.500 -6A7 7 0 0 0 -3.500 6M3.500 -6A7 7 0 0 1 3.500 6';
const MOST_HEADS = 30;
const EYES = ['eye_l_outer', 'eye_l_inner', 'eye_r_inner', 'eye_r_outer'];
const BROWS = ['brow_l_outer', 'brow_l_inner', 'brow_r_inner', 'brow_r_outer'];

/**
 * One point as it is drawn on the picture.
 * @param {string} key
 * @param {!Mark} mark
 * @param {{active: boolean, doubted: boolean, pixel: number}} how
 * @return {!Element}
 */
export const symbol = (key, mark, how) => {
  const k = how.pixel * (CLOSE.test(key) ? 0.8 : 1);
  const group = make('g', { class: 'mark', transform: `translate(${mark.x} ${mark.y}) scale(${k})`, 'data-landmark': key });
  make('circle', { class: 'hit', r: 12 }, group);
  if (how.active) {
    make('path', { class: 'halo', 'stroke-width': 4, d: 'M-22 0H-5M5 0H22M0 -22V-5M0 5V22' }, group);
    make('circle', { class: 'halo', 'stroke-width': 4, r: 9 }, group);
    make('circle', { class: 'jaws', 'stroke-width': 1.6, r: 9 }, group);
    make('path', { class: 'jaws', 'stroke-width': 1.2, d: 'M-22 0H-4M4 0H22M0 -22V-4M0 4V22' }, group);
  } else {
    const sure = { placed: 'jaws', proposed: 'jaws proposed' };
    make('path', { class: 'halo', 'stroke-width': 4.2, d: JAWS }, group);
    make('path', { class: sure[mark.state] ?? 'jaws unsure', 'stroke-width': 1.7, d: JAWS }, group);
    make('circle', { class: 'dot', r: mark.state === 'proposed' ? 1.1 : 1.8 }, group);
  }
  if (Marking.isDoubtful(mark)) make('text', { class: 'confidence', x: 8, y: -6 }, group).textContent = '?';
  if (how.doubted) make('circle', { class: 'doubted', r: 13, 'stroke-width': 2 }, group);
  return group;
};

/**
 * The same beside its name in the roll.
 * @param {!Element} svg
 * @param {!Mark|undefined} mark
 * @param {boolean} active
 */
export const drawRollSymbol = (svg, mark, active) => {
  svg.replaceChildren();
  if (active) {
    make('circle', { cx: 7, cy: 7, r: 5.5, fill: 'none', stroke: '#FAF9F5', 'stroke-width': 1.6 }, svg);
    make('path', { d: 'M7 0v5M7 9v5M0 7h5M9 7h5', stroke: '#FAF9F5', 'stroke-width': 1.4 }, svg);
  } else if (mark?.state === 'hidden') {
    make('path', { d: 'M3 7h8', stroke: '#868276', 'stroke-width': 1.6 }, svg);
  } else {
    const jaws = { d: 'M4.500 2A6 6 0 0 0 4.500 12M9.500 2A6 6 0 0 1 9.500 12', fill: 'none', stroke: mark ? '#44474B' : '#868276', 'stroke-width': 1.6 };
    make('path', mark && mark.state !== 'placed' ? { ...jaws, 'stroke-dasharray': '2 2' } : jaws, svg);
    if (mark) make('circle', { cx: 7, cy: 7, r: 1.7, fill: '#44474B' }, svg);
  }
};

/**
 * A guide from one place to another, on a pale casing.
 * @param {!Element} group
 * @param {{x: number, y: number}} from
 * @param {{x: number, y: number}} to
 * @param {!Array<number>} dash
 * @param {number} k pixels of the picture per pixel of the screen
 */
const guideLine = (group, from, to, dash, k) => {
  const d = `M${from.x} ${from.y}L${to.x} ${to.y}`;
  make('path', { class: 'guide-case', 'stroke-width': 2.6 * k, d }, group);
  make('path', { class: 'guide', 'stroke-width': k, 'stroke-dasharray': dash.map((n) => n * k).join(' '), d }, group);
};

/** A step along a direction from a place. */
const along = (from, direction, length) => ({ x: from.x + direction.x * length, y: from.y + direction.y * length });

/**
 * The head grid down the figure, the head's axis and the lines of the face, once crown and chin stand.
 * @param {!Element} group
 * @param {!Marking} marking
 * @param {number} k pixels of the picture per pixel of the screen
 */
export const drawGuides = (group, marking, k) => {
  group.replaceChildren();
  const head = marking.head();
  if (!head) return;
  const { crown, length, down } = head;
  const last = marking.place('sole')?.y ?? crown.y + length;
  for (let i = 0; i < MOST_HEADS; i++) {
    const y = crown.y + i * length;
    if (y > last + 1) break;
    guideLine(group, { x: 0, y }, { x: marking.picture.width, y }, [1.5, 4], k);
    make('text', {
      x: 4 * k, y: y - 4 * k, 'font-size': 12 * k, fill: '#222326', stroke: '#fff', 'stroke-width': 3 * k, 'paint-order': 'stroke',
    }, group).textContent = String(i);
  }
  guideLine(group, along(crown, down, -0.2 * length), along(crown, down, 1.2 * length), [6, 4], k);
  drawFaceGuides(group, marking, head, k);
};

/** Eye line, thirds and the ruler of eye widths, in the tilted head's own frame. */
const drawFaceGuides = (group, marking, head, k) => {
  const { crown, length, down, across } = head;
  const level = (keys, dash) => {
    const known = keys.map((key) => marking.place(key)).filter((place) => place !== null);
    if (known.length === 0) return;
    const middle = {
      x: known.reduce((sum, p) => sum + p.x, 0) / known.length,
      y: known.reduce((sum, p) => sum + p.y, 0) / known.length,
    };
    const from = along(crown, down, (middle.x - crown.x) * down.x + (middle.y - crown.y) * down.y);
    guideLine(group, along(from, across, -0.62 * length), along(from, across, 0.62 * length), dash, k);
  };
  level(EYES, [10, 3]);
  level(['hairline'], [3, 3]);
  level(['nose_base'], [3, 3]);
  level(BROWS, [3, 3]);
  const outer = marking.place('eye_l_outer');
  const inner = marking.place('eye_l_inner');
  if (!outer || !inner) return;
  // One eye's width after the other across the face.
  const width = Math.hypot(inner.x - outer.x, inner.y - outer.y);
  if (width < 3 * k) return;
  for (let i = -1; i <= 4; i++) {
    const at = along(outer, across, width * i);
    guideLine(group, along(at, down, -7 * k), along(at, down, 7 * k), [1, 0], k);
  }
};

/**
 * An earlier marking as dashed rings, with a line to where each point lies now.
 * @param {!Element} group
 * @param {!Marking} marking
 * @param {?Object} earlier
 * @param {number} k
 */
export const drawEarlier = (group, marking, earlier, k) => {
  group.replaceChildren();
  if (!earlier) return;
  for (const key of Object.keys(earlier)) {
    const then = earlier[key];
    const now = marking.place(key);
    if (then.x === undefined || (now?.x === then.x && now?.y === then.y)) continue;
    make('circle', { class: 'earlier', cx: then.x, cy: then.y, r: 6 * k, 'stroke-width': 1.6 * k }, group);
    if (now) make('path', { class: 'earlier', d: `M${then.x} ${then.y}L${now.x} ${now.y}`, 'stroke-width': 1.2 * k }, group);
  }
};

/**
 * @param {!Element} group
 * @param {!Array<{x: number, y: number}>} points of the ruler
 * @param {number} k
 */
export const drawRuler = (group, points, k) => {
  group.replaceChildren();
  if (points.length === 0) return;
  const d = `M${points.map((p) => `${p.x} ${p.y}`).join('L')}`;
  make('path', { class: 'rule-case', d, 'stroke-width': 4 * k }, group);
  make('path', { class: 'rule-line', d, 'stroke-width': 1.5 * k }, group);
  for (const p of points) make('circle', { class: 'rule-line', cx: p.x, cy: p.y, r: 4 * k, 'stroke-width': 1.5 * k }, group);
};

/**
 * The cross that the next point is placed by, with the point's name.
 * @param {!Element} group
 * @param {{x: number, y: number}} pointer
 * @param {string} name
 * @param {number} k
 */
export const drawCross = (group, pointer, name, k) => {
  const cross = make('g', { transform: `translate(${pointer.x} ${pointer.y}) scale(${k})` }, group);
  make('path', { class: 'halo', 'stroke-width': 3.5, d: 'M-16 0H-4M4 0H16M0 -16V-4M0 4V16' }, cross);
  make('path', { class: 'jaws', 'stroke-width': 1.2, d: 'M-16 0H-4M4 0H16M0 -16V-4M0 4V16' }, cross);
  make('rect', { class: 'name-chip', x: 14, y: -30, width: name.length * 6.6 + 12, height: 18 }, cross);
  make('text', { class: 'name-text', x: 20, y: -17, 'font-size': 11.5 }, cross).textContent = name;
};
