// Guess first: readings are covered until somebody says what they will be.

import { headers } from '../layout/studio.js';

const KEY = 'pen-mirror-guess';

/** What the server answers, as a node. */
const nodeOf = (html) => new DOMParser().parseFromString(html, 'text/html').body.firstElementChild;

export class Guessing {
  /**
   * @param {!HTMLInputElement} box that turns it on
   * @param {!Element} slot of the readings
   * @param {string} url guesses are sent to
   * @param {function(string)} showFault
   */
  constructor(box, slot, url, showFault) {
    this.box = box;
    this.slot = slot;
    this.url = url;
    this.showFault = showFault;
    /** Measure to what was told about the guess. */
    this.told = new Map();
    box.checked = localStorage.getItem(KEY) === 'on';
    box.addEventListener('change', () => {
      localStorage.setItem(KEY, box.checked ? 'on' : 'off');
      this.cover();
    });
  }

  /** Covers what was not guessed yet. */
  cover() {
    const isOn = this.box.checked;
    this.slot.classList.toggle('guessing', isOn);
    for (const row of this.slot.querySelectorAll('.rd[data-anchor]')) {
      const told = this.told.get(row.dataset.measure);
      row.querySelector('.guess, .guessed')?.remove();
      row.classList.toggle('revealed', told !== undefined);
      if (isOn) row.append(told === undefined ? this.field(row) : nodeOf(told));
    }
  }

  /** @private */
  field(row) {
    const input = document.createElement('input');
    input.className = 'guess';
    input.inputMode = 'decimal';
    input.setAttribute('aria-label', row.querySelector('.name').textContent);
    input.addEventListener('keydown', (event) => {
      if (event.key === 'Enter') this.send(row.dataset.measure, input.value);
    });
    return input;
  }

  /** @private */
  async send(measure, value) {
    const answer = await fetch(this.url, {
      method: 'POST',
      headers: { 'Content-Type': 'application/x-www-form-urlencoded', ...headers() },
      body: new URLSearchParams({ measure, guessed: value }),
    });
    const text = await answer.text();
    if (!answer.ok) { this.showFault(text); return; }
    this.told.set(measure, text);
    this.cover();
  }
}
