// B begins a study.

import { lettersOn, typing } from '../layout/studio.js';

document.addEventListener('keydown', (event) => {
  if (event.key.toLowerCase() !== 'b' || typing(event) || !lettersOn()) return;
  document.querySelector('.top a[href$="/studies/new"]')?.click();
});
