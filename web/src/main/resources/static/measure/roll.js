// The roll of points beside the picture, and what is told about the one at hand.

import { fill } from '../layout/studio.js';
import { drawRollSymbol } from './drawing.js';
import { showExample } from './example.js';

const IRIS = /^(iris|pupil)_/;

export class Roll {
  /**
   * @param {!Element} list
   * @param {!Object<string, string>} words of the bench, for the states of a point
   */
  constructor(list, words) {
    this.list = list;
    this.words = words;
    /** @const {!Object<string, !HTMLElement>} */
    this.buttons = Object.fromEntries([...list.querySelectorAll('button')].map((button) => [button.dataset.landmark, button]));
  }

  /** @return {!Object<string, string>} every landmark with its other side, in the order of the roll */
  mirrored() {
    return Object.fromEntries(Object.entries(this.buttons).map(([key, button]) => [key, button.dataset.mirrored]));
  }

  /**
   * @param {string} key
   * @return {string}
   */
  name(key) {
    return this.buttons[key].querySelector('.name').textContent;
  }

  /** The points asked for come first, the others are not shown. */
  arrange(marking) {
    const rest = marking.all.filter((key) => !marking.order.includes(key));
    for (const key of [...marking.order, ...rest]) {
      this.buttons[key].parentElement.hidden = rest.includes(key);
      this.list.append(/** @type {!Element} */ (this.buttons[key].parentElement));
    }
  }

  /** @private */
  stateOf(mark) {
    const words = this.words;
    if (!mark) return words.toplace;
    if (mark.state === 'hidden') return words.hidden;
    if (mark.state === 'placed') return '';
    if (mark.state !== 'proposed') return words.estimated;
    return mark.confidence === undefined ? words.unconfirmed : fill(words.proposed, Math.round(100 * mark.confidence));
  }

  /**
   * @param {!Object} marking
   * @param {!Object<string, string>} doubts
   */
  draw(marking, doubts) {
    marking.order.forEach((key, index) => {
      const button = this.buttons[key];
      const isActive = key === marking.active;
      button.firstElementChild.textContent = String(index + 1);
      button.parentElement.classList.toggle('now', isActive);
      if (isActive) button.setAttribute('aria-current', 'true'); else button.removeAttribute('aria-current');
      button.querySelector('em').textContent = this.stateOf(marking.landmarks[key]);
      drawRollSymbol(/** @type {!Element} */ (button.querySelector('svg')), marking.landmarks[key], isActive);
    });
    const $ = (id) => document.getElementById(id);
    const { active } = marking;
    const about = this.buttons[active].dataset;
    $('placed').textContent = fill($('placed').dataset.of, marking.order.filter((key) => marking.landmarks[key]).length, marking.order.length);
    $('about-name').textContent = this.name(active);
    $('about-help').textContent = about.help;
    $('about-mistake').textContent = about.mistake;
    $('about-doubt').textContent = doubts[active] ?? '';
    document.querySelector('[data-tool="mirror"]').disabled = about.mirrored === active;
    document.querySelector('[data-tool="circle"]').hidden = !IRIS.test(active);
    $('confirm').hidden = !marking.hasProposals();
    showExample($('example'), active);
  }
}
