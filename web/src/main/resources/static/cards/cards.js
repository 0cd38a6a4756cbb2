// Cards by keys: from one to the next in the grid, and from one opened card to its neighbours.

import { typing } from '../layout/studio.js';

/** @const {!Object<string, !Array<number>>} columns and rows that a key goes */
const STEPS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** @const {!Object<string, string>} */
const LINKS = { ArrowLeft: 'before', ArrowRight: 'after', Escape: 'all' };

/**
 * Where a key leads in a grid; the same place where no card lies that way, the first from nowhere.
 * @param {number} at
 * @param {string} key
 * @param {number} wide cards in a row
 * @param {number} count
 * @return {number}
 */
export const moved = (at, key, wide, count) => {
  const step = STEPS[key];
  if (at < 0 || !step) return Math.max(0, at);
  const to = at + step[0] + wide * step[1];
  return to < 0 || to >= count ? at : to;
};

/** @param {!Array<!HTMLElement>} cards */
const columns = (cards) => {
  const next = cards.findIndex((card) => card.offsetTop !== cards[0].offsetTop);
  return next < 0 ? cards.length : next;
};

document.addEventListener('keydown', (event) => {
  if (typing(event)) return;
  const grid = document.getElementById('cards');
  if (!grid) {
    document.getElementById(LINKS[event.key] ?? '')?.click();
    return;
  }
  const cards = /** @type {!Array<!HTMLElement>} */ (Array.from(grid.querySelectorAll('.card')));
  if (!STEPS[event.key] || cards.length === 0) return;
  const at = cards.findIndex((card) => card.contains(document.activeElement));
  cards[moved(at, event.key, columns(cards), cards.length)].querySelector('a').focus();
  event.preventDefault();
});
