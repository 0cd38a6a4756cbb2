// Many drawings in a table: sorted, found by words, only those outside or within.

import { headers } from '../layout/studio.js';
import { receive } from '../layout/dropped.js';

/**
 * Orders rows by what one column holds; what holds nothing comes last.
 * @param {!Array<!HTMLElement>} rows
 * @param {string} by title, rules or glance
 * @param {boolean} falling
 */
export const sorted = (rows, by, falling) => {
  const value = (row) => row.dataset[by] ?? '';
  return [...rows].sort((a, b) => {
    if (value(a) === '' || value(b) === '') return Number(value(a) === '') - Number(value(b) === '');
    const order = by === 'title' ? value(a).localeCompare(value(b)) : Number(value(a)) - Number(value(b));
    return falling ? -order : order;
  });
};

/**
 * Whether a row is shown.
 * @param {!HTMLElement} row
 * @param {string} words that all stand in it, in any order
 * @param {string} state that it has; empty for any
 */
export const fits = (row, words, state) => {
  const text = row.textContent.toLowerCase();
  return (state === '' || row.dataset.state === state)
    && words.toLowerCase().split(/\s+/).every((word) => text.includes(word));
};

/** So many files go at once: hundreds in one would be refused. */
const AT_ONCE = 20;

/**
 * Sends files a handful at a time.
 * @param {string} address
 * @param {!Array<!File>} files
 * @param {function(number)} sent told how many are sent so far
 * @return {!Promise<!Array<string>>} what was wrong with single files
 */
export const sendAll = async (address, files, sent) => {
  const faults = [];
  for (let i = 0; i < files.length; i += AT_ONCE) {
    const body = new FormData();
    files.slice(i, i + AT_ONCE).forEach((file) => body.append('files', file, file.name));
    const answer = await fetch(address, { method: 'POST', headers: headers(), body });
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    page.querySelectorAll('.fault li').forEach((fault) => faults.push(fault.textContent));
    sent(Math.min(files.length, i + AT_ONCE));
  }
  return faults;
};

const begin = () => {
  const files = /** @type {?HTMLInputElement} */ (document.getElementById('files'));
  if (!files) return;
  const state = document.getElementById('sending');
  const lost = document.getElementById('lost');
  /** @param {!Array<!File>} all */
  const take = async (all) => {
    if (all.length === 0) return;
    state.hidden = false;
    const told = (count) => { state.textContent = state.dataset.sent.replace('{0}', String(count)).replace('{1}', String(all.length)); };
    told(0);
    try {
      const faults = await sendAll(files.form.action, all, told);
      if (faults.length === 0) { window.location.reload(); return; }
      lost.replaceChildren(...faults.map((fault) => Object.assign(document.createElement('li'), { textContent: fault })));
      lost.hidden = false;
      state.hidden = true;
      document.getElementById('see-cast').hidden = false;
    } catch (gone) {
      state.textContent = state.dataset.lost;
    }
  };
  files.addEventListener('change', (event) => { event.stopPropagation(); take(Array.from(files.files ?? [])); });
  receive(null, (dropped) => take(dropped.files));
  let by = 'rules';
  let falling = false;
  const find = /** @type {?HTMLInputElement} */ (document.getElementById('find'));
  const shows = [...document.querySelectorAll('[data-shows]')];

  const show = () => {
    const body = document.querySelector('#cast tbody');
    if (!body) return;
    const state = shows.find((each) => each.getAttribute('aria-pressed') === 'true')?.dataset.shows ?? '';
    sorted(Array.from(body.rows), by, falling).forEach((row) => {
      row.hidden = !fits(row, find.value, state);
      body.append(row);
    });
    document.querySelectorAll('[data-sorts]').forEach((button) => {
      const head = button.closest('th');
      if (button.dataset.sorts === by) head.setAttribute('aria-sort', falling ? 'descending' : 'ascending');
      else head.removeAttribute('aria-sort');
    });
  };
  document.addEventListener('click', (event) => {
    const button = event.target.closest('[data-sorts]');
    if (!button) return;
    falling = button.dataset.sorts === by && !falling;
    by = button.dataset.sorts;
    show();
  });
  shows.forEach((each) => each.addEventListener('click', () => {
    shows.forEach((other) => other.setAttribute('aria-pressed', String(other === each)));
    show();
  }));
  find?.addEventListener('input', show);
  // Rows come anew while some are read: they keep the order and the choice.
  document.addEventListener('htmx:afterSwap', show);
};

begin();
