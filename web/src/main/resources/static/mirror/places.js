// Loops on the redraw where its line is not as theirs: one for each place of a list.

import { make } from '../layout/svg.js';

/**
 * Where a place lies, as a list writes it.
 * @param {string} text such as "120,340 480,341"
 * @return {!Array<!Array<number>>}
 */
export const points = (text) => text.split(' ').filter(Boolean).map((one) => one.split(',').map(Number));

/**
 * Draws what a list names, in place of what was drawn before; the one at hand is drawn heavier.
 * @param {!Element} list
 * @param {!Element} group in pixels of the redraw
 */
export const loop = (list, group) => {
  group.replaceChildren();
  const radius = list.getAttribute('data-radius');
  for (const row of Array.from(list.querySelectorAll('[data-places]'))) {
    const rings = points(row.getAttribute('data-places')).flatMap(([cx, cy]) => [
      make('circle', { class: 'case', cx, cy, r: radius }, group),
      make('circle', { class: 'loop', cx, cy, r: radius }, group),
    ]);
    const mark = (is) => () => rings.forEach((ring) => ring.classList.toggle('now', is));
    row.addEventListener('pointerenter', mark(true));
    row.addEventListener('pointerleave', mark(false));
    row.addEventListener('focus', mark(true));
    row.addEventListener('blur', mark(false));
  }
};
