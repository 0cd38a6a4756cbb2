// Enter answers, and once answered goes on.

import { typing } from '../layout/studio.js';

document.addEventListener('keydown', (event) => {
  if (event.key !== 'Enter' || typing(event)) return;
  const target = /** @type {!Element} */ (event.target);
  if (target.closest('a, button')) return;
  const form = /** @type {?HTMLFormElement} */ (document.querySelector('form.asked'));
  if (form) {
    event.preventDefault();
    form.requestSubmit();
  } else {
    const next = /** @type {?HTMLElement} */ (document.querySelector('.next'));
    if (next) next.click();
  }
});
