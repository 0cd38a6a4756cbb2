// The desk: flip, greyscale, grid, and one part of a picture at full size. Controls sleep.

import { takeRedraws } from '../layout/redrawn.js';

const body = document.body;
const sheets = [...document.querySelectorAll('.sheets svg')];
const pressed = (name) => document.querySelector(`[data-toggle="${name}"]`);

const mirror = () => sheets.forEach((sheet) => {
  const art = sheet.querySelector('.art');
  art.setAttribute('transform', body.classList.contains('flip') ? `translate(${art.dataset.width} 0) scale(-1 1)` : '');
});
const toggle = (name) => {
  pressed(name).setAttribute('aria-pressed', String(body.classList.toggle(name)));
  if (name === 'flip') mirror();
};
document.querySelectorAll('[data-toggle]').forEach((button) => button.addEventListener('click', () => toggle(button.dataset.toggle)));

const whole = () => sheets.forEach((sheet) => sheet.setAttribute('viewBox', sheet.dataset.whole));
document.getElementById('whole').addEventListener('click', whole);

const place = (sheet, event) =>
  new DOMPoint(event.clientX, event.clientY).matrixTransform(sheet.getScreenCTM().inverse());
sheets.forEach((sheet) => {
  const frame = sheet.querySelector('.frame');
  let from = null;
  const box = (event) => {
    const to = place(sheet, event);
    return { x: Math.min(from.x, to.x), y: Math.min(from.y, to.y), width: Math.abs(to.x - from.x), height: Math.abs(to.y - from.y) };
  };
  sheet.addEventListener('pointerdown', (event) => {
    if (event.button !== 0) return;
    from = place(sheet, event);
    sheet.setPointerCapture(event.pointerId);
  });
  sheet.addEventListener('pointermove', (event) => {
    if (!from) return;
    Object.entries(box(event)).forEach(([key, value]) => frame.setAttribute(key, String(value)));
  });
  sheet.addEventListener('pointerup', (event) => {
    if (!from) return;
    const chosen = box(event);
    from = null;
    frame.setAttribute('width', '0');
    frame.setAttribute('height', '0');
    const seen = sheet.viewBox.baseVal;
    if (chosen.width > seen.width / 40 && chosen.height > seen.height / 40) {
      sheet.setAttribute('viewBox', `${chosen.x} ${chosen.y} ${chosen.width} ${chosen.height}`);
    }
  });
  sheet.addEventListener('dblclick', whole);
});

let sleep = 0;
const wake = () => {
  body.classList.add('awake');
  clearTimeout(sleep);
  sleep = setTimeout(() => body.classList.remove('awake'), 2500);
};
['pointermove', 'pointerdown', 'keydown'].forEach((name) => document.addEventListener(name, wake));

document.addEventListener('keydown', (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || localStorage.getItem('pen-mirror-letters') === 'off') return;
  const name = { f: 'flip', g: 'grey', h: 'grid' }[event.key.toLowerCase()];
  if (name) toggle(name);
  if (event.key === '0' || event.key === 'Escape') whole();
});
mirror();
wake();

const redraw = /** @type {!HTMLInputElement} */ (document.getElementById('redraw-file'));
takeRedraws(redraw);
redraw.addEventListener('change', () => redraw.form.requestSubmit());
