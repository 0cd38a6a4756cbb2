// Figures on one ground line: grey, as silhouettes, shuffled; a click or a number picks one.

import { lettersOn, typing } from '../layout/studio.js';

(() => {
  const stage = document.getElementById('line-up');
  if (!stage) return;
  const looks = [...document.querySelectorAll('[data-look]')];
  const asks = document.querySelector('.names button') !== null;
  stage.classList.toggle('asks', asks);

  /** @param {string} name of the look; empty for the pictures as they are */
  const look = (name) => {
    looks.forEach((each) => each.setAttribute('aria-pressed', String(each.dataset.look === name)));
    stage.classList.toggle('grey', name === 'grey');
    stage.classList.toggle('black', name === 'black');
    window.sessionStorage.setItem('line-up', name);
  };
  const shown = () => looks.find((each) => each.getAttribute('aria-pressed') === 'true')?.dataset.look ?? '';
  looks.forEach((each) => each.addEventListener('click', () => look(each.dataset.look)));
  look(window.sessionStorage.getItem('line-up') ?? '');

  // A look is one look, however often its button is hit.
  let isPicked = false;
  document.querySelector('form.stage')?.addEventListener('submit', (event) => {
    if (isPicked) event.preventDefault();
    isPicked = true;
  });
  window.addEventListener('pageshow', () => { isPicked = false; });

  const pick = (number) => document.querySelector(`.names button[data-number="${number}"]`)?.click();
  if (asks) {
    stage.addEventListener('click', (event) => {
      const one = event.target.closest('.who');
      if (one) pick(one.dataset.number);
    });
  }
  const go = (selector) => document.querySelector(selector)?.click();
  document.addEventListener('keydown', (event) => {
    if (!lettersOn() || typing(event) || event.ctrlKey || event.metaKey || event.altKey) return;
    const key = event.key.toLowerCase();
    if (key === 'g' || key === 'b') {
      const name = key === 'g' ? 'grey' : 'black';
      look(shown() === name ? '' : name);
    } else if (key === 'h') go('[data-alike]:not([aria-current])');
    else if (key === 's') go('[data-shuffles]');
    else if (asks && key >= '1' && key <= '9') {
      event.stopImmediatePropagation();
      pick(key);
    }
  }, true);
})();
