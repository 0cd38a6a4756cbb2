// What every section of the plan has: its keys, and a redraw that is dropped goes to its verdict.

import { takeRedraws } from '../layout/redrawn.js';
import { lettersOn, typing } from '../layout/studio.js';

const file = document.getElementById('redraw-file');
if (file instanceof HTMLInputElement) takeRedraws(file);

/** Shift and a digit, wherever the keyboard's layout puts its sign. */
document.addEventListener('keydown', (event) => {
  const digit = /^Digit([1-9])$/.exec(event.code);
  if (!digit || !event.shiftKey || typing(event) || !lettersOn()) return;
  const section = /** @type {?HTMLElement} */ (document.querySelectorAll('[data-section]')[Number(digit[1]) - 1] || null);
  if (section) section.click();
});
