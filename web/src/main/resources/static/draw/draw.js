// The page beside the board: ticks and notes that are never lost, keys, a rough dropped in.

import { takeRedraws } from '../layout/redrawn.js';
import { headers, lettersOn, typing } from '../layout/studio.js';
import { Clock } from './clock.js';
import { Waiting } from './waiting.js';

/** Other windows' ticks are looked for so often, milliseconds. */
const LOOK = 5000;

const study = document.body.dataset.study;
const store = `pen-mirror-draw-${study}`;
const owing = /** @type {!HTMLElement} */ (document.getElementById('owing'));
const sitting = () => /** @type {!HTMLElement} */ (document.getElementById('sitting'));
const ticks = () => /** @type {!Array<!HTMLElement>} */ ([...document.querySelectorAll('[data-tick]')]);

takeRedraws(/** @type {!HTMLInputElement} */ (document.getElementById('redraw-file')));

/** @return {!Array} */
const left = () => {
  try {
    return /** @type {!Array} */ (JSON.parse(localStorage.getItem(store) || '[]'));
  } catch {
    return [];
  }
};

/** @type {!Set<string>} */
let there = new Set(ticks().filter((tick) => tick.getAttribute('aria-pressed') === 'true').map((tick) => tick.dataset.tick));

const waiting = new Waiting(left(), {
  send: async (list) => {
    const answer = await fetch(sitting().dataset.done, {
      method: 'POST', headers: { ...headers(), 'Content-Type': 'application/json' }, body: JSON.stringify(list),
    });
    if (answer.ok) there = new Set((await answer.json()).ticked);
    return { ok: answer.ok, refused: answer.status === 400 };
  },
  keep: (list) => localStorage.setItem(store, JSON.stringify(list)),
  after: (wait, then) => setTimeout(then, wait),
  tell: (count, refused) => {
    const words = refused ? owing.dataset.refused : owing.dataset.owing;
    owing.textContent = count > 0 || refused ? words.replace('{0}', String(count)) : '';
    show();
  },
});

/** Every box as it stands: by the hand first, then by the server. */
const show = () => {
  let done = 0;
  ticks().forEach((tick) => {
    const stands = waiting.stands(tick.dataset.tick, there.has(tick.dataset.tick));
    tick.setAttribute('aria-pressed', String(stands));
    done += stands ? 1 : 0;
  });
  const soFar = document.getElementById('so-far');
  if (soFar) soFar.textContent = `${done} / ${ticks().length}`;
  // The stage at hand in the list says the same.
  const small = document.querySelector('.stages [aria-current] small');
  if (small) small.textContent = small.textContent.replace(/^\d+/, String(done));
  const full = document.querySelector('.stages [aria-current] .full');
  const high = ticks().length ? 16 * done / ticks().length : 0;
  full?.setAttribute('y', String(17 - high));
  full?.setAttribute('height', String(high));
};

/** @param {!HTMLElement} tick */
const toggle = (tick) => {
  const ticked = tick.getAttribute('aria-pressed') !== 'true';
  waiting.add({ key: tick.dataset.tick, text: '', stage: '', ticked, at: Date.now() });
  show();
};

document.addEventListener('click', (event) => {
  const target = /** @type {!Element} */ (event.target);
  const tick = /** @type {?HTMLElement} */ (target.closest('[data-tick]'));
  if (tick) toggle(tick);
  const forget = /** @type {?HTMLElement} */ (target.closest('[data-forget]'));
  if (forget) {
    waiting.add({ key: `later:${forget.dataset.forget}`, text: '', stage: '', ticked: true, at: Date.now() });
    forget.closest('li').remove();
  }
});

document.addEventListener('submit', (event) => {
  const form = /** @type {!HTMLFormElement} */ (event.target);
  if (form.id !== 'note') return;
  event.preventDefault();
  const text = /** @type {!HTMLInputElement} */ (document.getElementById('note-text'));
  const stage = /** @type {!HTMLSelectElement} */ (document.getElementById('note-stage'));
  const words = text.value.trim();
  if (!words) return;
  const key = crypto.randomUUID ? crypto.randomUUID() : `${Date.now()}-${Math.random().toString(36).slice(2)}`;
  waiting.add({ key, text: words, stage: stage.value, ticked: false, at: Date.now() });
  addNote(key, words, stage, form);
  text.value = '';
});

/**
 * @param {string} key
 * @param {string} words
 * @param {!HTMLSelectElement} stage
 * @param {!HTMLFormElement} form
 */
const addNote = (key, words, stage, form) => {
  const line = document.createElement('li');
  const said = document.createElement('span');
  said.textContent = stage.value
    ? form.dataset.comesBack.replace('{0}', words).replace('{1}', stage.selectedOptions[0].textContent)
    : words;
  line.append(said, ' ');
  if (!stage.value) {
    const done = document.createElement('button');
    done.type = 'button';
    done.className = 'bare';
    done.dataset.forget = key;
    done.textContent = form.dataset.doneLabel;
    line.append(done);
  }
  document.getElementById('notes').append(line);
};

let awaitsDigit = false;
document.addEventListener('keydown', (event) => {
  if (typing(event) || !lettersOn()) return;
  if (awaitsDigit && /^[1-9]$/.test(event.key)) {
    event.stopImmediatePropagation();
    const tick = ticks()[Number(event.key) - 1];
    if (tick) toggle(tick);
  }
  awaitsDigit = event.key === 't' || event.key === 'T';
  if (event.key === 'n' || event.key === 'N') {
    event.preventDefault();
    document.getElementById('note-text').focus();
  }
  if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') step(event.key === 'ArrowLeft' ? -1 : 1);
}, { capture: true });

/** @param {number} by how many parts further */
const step = (by) => {
  const parts = /** @type {!Array<!HTMLElement>} */ ([...document.querySelectorAll('.parts a')]);
  const here = parts.findIndex((part) => part.hasAttribute('aria-current'));
  const next = parts[here + by];
  if (next) next.click();
};

/** The part at hand is in sight where the row of parts is longer than the screen. */
const bringIntoSight = () => document.querySelector('.parts [aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'center' });

const clock = new Clock({
  now: () => Date.now(),
  load: () => localStorage.getItem(`${store}-clock`),
  save: (value) => (value === null ? localStorage.removeItem(`${store}-clock`) : localStorage.setItem(`${store}-clock`, value)),
});

/** The clock says how long it runs, and once it is long, that a break would be good. */
const showClock = () => {
  const button = document.getElementById('clock');
  if (!button) return;
  const running = clock.isRunning();
  const words = /** @type {!HTMLElement} */ (document.getElementById('hours')).dataset;
  button.setAttribute('aria-pressed', String(running));
  button.textContent = running ? button.dataset.stop : button.dataset.start;
  const says = clock.isLong() ? words.hint : words.running.replace('{0}', String(clock.minutes()));
  const line = document.getElementById('clock-says');
  if (line.textContent !== (running ? says : '')) line.textContent = running ? says : '';
};

document.addEventListener('click', (event) => {
  const button = /** @type {!Element} */ (event.target).closest('#clock');
  if (!button) return;
  if (!clock.isRunning()) {
    clock.start();
    showClock();
    return;
  }
  const field = /** @type {!HTMLInputElement} */ (document.getElementById('minutes'));
  field.value = String(Number(field.value) + clock.stop());
  field.form.requestSubmit();
});

document.body.addEventListener('htmx:afterSwap', () => {
  show();
  showClock();
  bringIntoSight();
});

const look = async () => {
  if (document.hidden || waiting.list.length > 0) return;
  try {
    const answer = await fetch(sitting().dataset.done);
    if (!answer.ok) return;
    there = new Set((await answer.json()).ticked);
    show();
  } catch {
    // Without a network nothing is news.
  }
};

setInterval(look, LOOK);
setInterval(showClock, LOOK);
showClock();
window.addEventListener('online', () => waiting.send());
show();
bringIntoSight();
waiting.send();
