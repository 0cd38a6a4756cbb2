// Up and down walk through the acts or the rules, Enter accepts what is proposed, M turns an act.

import { lettersOn, typing } from '../layout/studio.js';

const acts = [...document.querySelectorAll('.act')];
const rows = acts.length ? acts : [...document.querySelectorAll('.strips tr')];
const target = (row) => row?.querySelector('.sentence, a');
const shown = () => rows.filter((row) => !row.hidden);

const turn = (act) => {
  const button = act.querySelector('.sentence');
  const open = button.getAttribute('aria-expanded') !== 'true';
  const inside = act.querySelector('.open');
  button.setAttribute('aria-expanded', String(open));
  inside.hidden = !open;
  act.classList.toggle('open-now', open);
  if (open && !inside.childElementCount) window.htmx.ajax('GET', inside.dataset.from, { target: inside });
};
acts.forEach((act) => act.querySelector('.sentence').addEventListener('click', () => turn(act)));

// Forms that come in later must say where the user is, so that they come back there.
document.body.addEventListener('htmx:afterSwap', (event) => {
  event.target.querySelectorAll('form').forEach((form) => { form.action += location.search.replace(/[?&]open=[^&]*/, ''); });
});

const find = document.getElementById('find');
const always = document.getElementById('only-always');
const groups = [...document.querySelectorAll('.groups button')];
const filter = () => {
  const wanted = find.value.trim().toLowerCase();
  const group = groups.find((each) => each.getAttribute('aria-pressed') === 'true')?.dataset.group;
  for (const act of acts) {
    const fits = act.textContent.toLowerCase().includes(wanted);
    const inGroup = !group || act.closest('section').dataset.group === group;
    act.hidden = !fits || !inGroup || (always.checked && act.dataset.strength !== 'always');
  }
};
find?.addEventListener('input', filter);
always?.addEventListener('change', filter);
groups.forEach((button) => button.addEventListener('click', () => {
  const on = button.getAttribute('aria-pressed') !== 'true';
  groups.forEach((each) => each.setAttribute('aria-pressed', String(on && each === button)));
  filter();
}));

// A work's picture while the pointer rests on its dot; Shift and a click leaves it out of the rule.
const peek = document.getElementById('peek');
const dotOf = (event) => event.target.closest?.('.act-strip a[data-work]');
document.addEventListener('pointerover', (event) => {
  const dot = dotOf(event);
  const src = dot && document.getElementById('pictures')?.content.querySelector(`[data-work="${dot.dataset.work}"]`)?.dataset.src;
  if (!peek || !src) return;
  const place = dot.getBoundingClientRect();
  peek.querySelector('img').src = src;
  peek.querySelector('figcaption').textContent = dot.getAttribute('aria-label');
  peek.hidden = false;
  peek.style.left = `${Math.min(place.right + 10, innerWidth - 190)}px`;
  peek.style.top = `${Math.max(8, Math.min(place.top - 80, innerHeight - 260))}px`;
});
document.addEventListener('pointerout', (event) => { if (peek && dotOf(event)) peek.hidden = true; });
document.addEventListener('click', (event) => {
  const types = event.target.closest?.('[data-types]');
  if (types) {
    const typed = document.getElementById(types.dataset.types);
    typed.hidden = !typed.hidden;
    if (!typed.hidden) typed.querySelector('input[name=low]').focus();
  }
  const dot = dotOf(event);
  const reading = dot?.closest('.reading');
  if (!event.shiftKey || !reading) return;
  event.preventDefault();
  const dialog = document.getElementById('leave-out');
  dialog.querySelector('form').action = `${reading.dataset.works}/${dot.dataset.work}${location.search}`;
  document.getElementById('leave-out-title').textContent = dot.getAttribute('aria-label');
  dialog.showModal();
});

const inside = (row, selector) => row?.querySelector(`.open:not([hidden]) ${selector}`);
// The reading the keyboard is in, else the first of the act.
const press = (row, key) => {
  const reading = document.activeElement.closest('.reading') ?? inside(row, '.reading');
  reading?.querySelector(`[data-key="${key}"]`)?.click();
};
document.addEventListener('keydown', (event) => {
  if (typing(event) || event.ctrlKey || event.metaKey || event.altKey) return;
  const letters = lettersOn();
  const at = shown().findIndex((row) => row.contains(document.activeElement));
  const row = shown()[at];
  if (['ArrowUp', 'ArrowDown'].includes(event.key)) {
    const list = shown();
    const next = list[Math.max(0, Math.min(list.length - 1, at + (event.key === 'ArrowDown' ? 1 : -1)))];
    target(next)?.focus();
    event.preventDefault();
  } else if (event.key === 'Enter' && document.activeElement === document.body) {
    document.getElementById('accept')?.click();
  } else if (event.key === 'Escape') {
    document.getElementById('scope-back')?.click();
  } else if (!letters) {
    return;
  } else if (event.key === 'm' && row) {
    inside(row, '[data-turn]')?.click();
  } else if (event.key === 'u') {
    document.getElementById('undo')?.click();
  } else if (event.key === '[' || event.key === ']') {
    press(row, event.key);
  } else if (event.key === 'e' && inside(row, '.reword')) {
    inside(row, '.reword').open = true;
    inside(row, '.reword textarea').focus();
    event.preventDefault();
  } else if (event.key === '/') {
    find?.focus();
    event.preventDefault();
  }
});

const open = document.getElementById('work')?.dataset.open;
const last = acts.find((act) => act.dataset.act === open);
if (last) {
  turn(last);
  last.scrollIntoView({ block: 'center' });
  target(last).focus();
}
