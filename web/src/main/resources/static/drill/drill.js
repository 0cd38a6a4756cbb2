// The right half takes the colour of the sliders; Enter answers and goes on.

import { typing } from '../layout/studio.js';
import { picked } from './picker.js';

const form = /** @type {?HTMLFormElement} */ (document.getElementById('match'));

const show = () => {
  const value = (id) => {
    const field = /** @type {!HTMLInputElement} */ (document.getElementById(id));
    const said = document.querySelector(`output[for=${id}]`);
    if (said) said.textContent = field.value;
    return Number(field.value);
  };
  document.getElementById('yours').setAttribute('fill', picked(value('hue'), value('saturation'), value('brightness')));
};

if (form) {
  form.addEventListener('input', show);
  show();
}

document.addEventListener('keydown', (event) => {
  if (event.key !== 'Enter' || typing(event)) return;
  const target = /** @type {!Element} */ (event.target);
  if (target.closest('a, button')) return;
  if (form) {
    event.preventDefault();
    form.requestSubmit();
  } else {
    const next = /** @type {?HTMLElement} */ (document.querySelector('.next'));
    if (next) next.click();
  }
});
