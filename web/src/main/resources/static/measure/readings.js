// The readings beside the picture: each hangs at the height of what it measures.

import { make } from '../layout/svg.js';

const ROW = 27;

/**
 * Where rows lie that want to be near a height and must not cover each other.
 * @param {!Array<number>} wanted heights of their middles, rising
 * @param {number} room that all of them have
 * @return {!Array<number>} their tops
 */
export const spread = (wanted, room) => {
  const tops = [];
  let next = 0;
  for (const at of wanted) {
    const top = Math.max(next, at - ROW / 2);
    tops.push(top);
    next = top + ROW;
  }
  let limit = room;
  for (let i = tops.length - 1; i >= 0; i--) {
    tops[i] = Math.max(0, Math.min(tops[i], limit - ROW));
    limit = tops[i];
  }
  return tops;
};

export class Readings {
  /**
   * @param {!Element} slot that the block of readings stands in
   * @param {!Element} art the picture
   * @param {function(!Element): boolean} isAsked whether a row's points are asked for
   */
  constructor(slot, art, isAsked) {
    this.slot = slot;
    this.art = art;
    this.isAsked = isAsked;
    this.group = 'PROPORTION';
    /** Whether every reading shows, and not one for each act. */
    this.every = false;
    this.view = null;
    slot.addEventListener('click', (event) => {
      if (!event.target.closest('[data-every]')) return;
      this.every = !this.every;
      if (this.view) this.place(this.view);
    });
  }

  /**
   * Takes the whole block anew.
   * @param {string} html
   * @return {?Element} the block; nothing where the answer holds none
   */
  take(html) {
    const block = new DOMParser().parseFromString(html, 'text/html').getElementById('readings');
    if (!block) return null;
    this.slot.replaceChildren(block);
    window.htmx?.process(block);
    return block;
  }

  /**
   * Puts moving values into the rows that stand.
   * @param {!Array<!Object>} rows
   * @return {boolean} false where a row came or went, which takes the whole block
   */
  follow(rows) {
    const standing = [...this.slot.querySelectorAll('.rd[data-anchor]')];
    const told = Object.fromEntries(rows.map((row) => [row.measure, row]));
    if (standing.some((row) => !told[row.dataset.measure])) return false;
    const known = new Set(standing.map((row) => row.dataset.measure));
    const waiting = [...this.slot.querySelectorAll('.rd.waits')].map((row) => row.dataset.measure);
    if (waiting.some((key) => told[key] && !known.has(key))) return false;
    for (const row of standing) {
      const now = told[row.dataset.measure];
      row.querySelector('b').textContent = now.value;
      row.dataset.anchor = now.anchor;
      row.classList.toggle('off', now.misses);
      const strip = row.querySelector('svg');
      if (!strip || now.x === '') continue;
      const tick = strip.querySelector('.tick');
      tick.setAttribute('d', `M${now.x} 2V20`);
      strip.querySelector('.gap')?.remove();
      if (now.misses) strip.insertBefore(make('path', { class: 'gap', d: `M${now.edgeX} 11H${now.x}` }), tick);
    }
    return true;
  }

  /** @return {!Object<string, string>} landmark to what is doubtful about it, in words */
  doubts() {
    const doubts = {};
    for (const item of this.slot.querySelectorAll('.doubts li')) doubts[item.dataset.landmark] = item.textContent.trim();
    return doubts;
  }

  /**
   * Hangs the rows of the group shown; what waits shows only where its points are asked for.
   * @param {!Object} view of the picture
   */
  place(view) {
    this.view = view;
    const block = this.slot.querySelector('#readings');
    block?.classList.toggle('every', this.every);
    block?.querySelector('[data-every]')?.setAttribute('aria-pressed', String(this.every));
    const rows = this.slot.querySelector('#readings .rows');
    if (!rows) return;
    for (const row of rows.querySelectorAll('.rd')) {
      const stands = this.every || row.dataset.leads !== undefined;
      // What waits is told by the points that are wanting; the rows stand where every reading is asked.
      const waits = row.dataset.anchor === undefined && (!this.every || !this.isAsked(row));
      row.hidden = row.dataset.group !== this.group || !stands || waits;
    }
    const read = [...rows.querySelectorAll('.rd[data-anchor]:not([hidden])')];
    const waits = [...rows.querySelectorAll('.rd:not([data-anchor]):not([hidden])')];
    rows.querySelector('#leaders')?.remove();
    const isWide = window.matchMedia('(min-width:901px) and (min-height:700px)').matches;
    if (isWide && read.length > 0) this.hang(rows, read, waits, view);
    else this.list(rows, [...read, ...waits]);
  }

  /** @private */
  list(rows, shown) {
    rows.style.height = '';
    for (const row of shown) {
      row.style.position = '';
      row.style.top = '';
    }
  }

  /** @private */
  hang(rows, read, waits, view) {
    const box = this.art.getBoundingClientRect();
    const top = rows.getBoundingClientRect().top;
    const room = Math.max((read.length + waits.length) * ROW, Math.min(400, box.height - 345));
    const scale = box.height / view.height;
    const wanted = read
      .map((row) => ({ row, at: box.top - top + (Number(row.dataset.anchor) - view.y) * scale }))
      .sort((a, b) => a.at - b.at);
    const tops = spread(wanted.map((entry) => entry.at), room - waits.length * ROW);
    const leaders = make('svg', { id: 'leaders', height: room, 'aria-hidden': 'true' });
    wanted.forEach(({ row, at }, i) => {
      this.hangAt(row, tops[i]);
      const from = Math.max(-30, Math.min(room + 30, at));
      make('path', { d: `M0 ${from}L12 ${tops[i] + ROW / 2}H22`, fill: 'none', stroke: '#74787D' }, leaders);
    });
    waits.forEach((row, i) => this.hangAt(row, room - (waits.length - i) * ROW));
    rows.style.height = `${room}px`;
    rows.prepend(leaders);
  }

  /** @private */
  hangAt(row, top) {
    Object.assign(row.style, { position: 'absolute', left: '0', right: '0', top: `${top}px` });
  }
}
