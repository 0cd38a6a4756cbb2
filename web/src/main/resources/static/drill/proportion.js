// A plain head or figure takes the proportion of the slider; once answered, both are shown. Enter answers and goes on.

import { frame, mark } from './plain.js';

const plain = /** @type {?HTMLElement} */ (document.getElementById('plain'));
const form = /** @type {?HTMLFormElement} */ (document.getElementById('guess'));
const slider = /** @type {?HTMLInputElement} */ (document.getElementById('said'));

const draw = (id, path) => {
  const line = document.getElementById(id);
  if (line) line.setAttribute('d', path);
};

if (plain) {
  const shape = plain.dataset.shape;
  draw('frame', frame(shape));
  if (plain.dataset.is) draw('is', mark(shape, Number(plain.dataset.is)));
  if (slider) {
    const show = () => draw('yours', mark(shape, Number(slider.value)));
    slider.addEventListener('input', show);
    show();
    slider.focus();
  } else {
    draw('yours', mark(shape, Number(plain.dataset.said)));
  }
}
