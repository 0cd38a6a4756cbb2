// The right half takes the colour of the sliders.

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
