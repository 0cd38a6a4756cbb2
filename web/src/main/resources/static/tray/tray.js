// A level line is drawn over the scan; arrows walk through the pages.

import { typing } from '../layout/studio.js';

const scan = () => document.getElementById('scan');
const form = document.getElementById('clean');
const number = (name) => document.getElementById(name);

const place = (event) =>
  new DOMPoint(event.clientX, event.clientY).matrixTransform(scan().getScreenCTM().inverse());

const show = (from, to) => {
  const d = `M${from.x} ${from.y}L${to.x} ${to.y}`;
  document.querySelectorAll('#level path').forEach((path) => path.setAttribute('d', d));
};

const isLine = () => form?.elements.straighten.value === 'LINE';

let from = null;
document.addEventListener('pointerdown', (event) => {
  if (event.button !== 0 || !isLine() || !event.target.closest('#scan')) return;
  from = place(event);
  scan().setPointerCapture(event.pointerId);
  event.preventDefault();
});
document.addEventListener('pointermove', (event) => {
  if (from) show(from, place(event));
});
document.addEventListener('pointercancel', () => { from = null; });
document.addEventListener('pointerup', (event) => {
  if (!from) return;
  const to = place(event);
  [['x1', from.x], ['y1', from.y], ['x2', to.x], ['y2', to.y]].forEach(([name, value]) => {
    number(name).value = Math.round(value);
  });
  from = null;
  number('x1').dispatchEvent(new Event('change', { bubbles: true }));
});

form?.addEventListener('submit', () => { document.getElementById('taking').hidden = false; });
window.addEventListener('pageshow', () => {
  const taking = document.getElementById('taking');
  if (taking) taking.hidden = true;
});

form?.addEventListener('change', () => {
  document.getElementById('level-fields').hidden = !isLine();
});

document.addEventListener('keydown', (event) => {
  if (typing(event)) return;
  if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
  if (event.target.closest('input')) return;
  const pages = [...document.querySelectorAll('.tray-pages a')];
  const at = pages.findIndex((page) => page.hasAttribute('aria-current'));
  const next = pages[at + (event.key === 'ArrowDown' ? 1 : -1)];
  if (next) next.click();
  event.preventDefault();
});
