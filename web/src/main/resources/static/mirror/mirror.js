// Fold, lay over, stand beside; flip, greyscale, squint. Only drawing: every figure comes from the server.

import { lettersOn, typing } from '../layout/studio.js';
import { Evidence, Legend, layers } from '../origin/layers.js';
import { takeRedraws } from '../layout/redrawn.js';
import { renew } from '../layout/renewed.js';
import { ask } from './asking.js';
import { loop } from './places.js';
import { Values } from './values.js';
import { Mended } from './mended.js';
import { Laid } from './laid.js';

(() => {
  const mirror = document.getElementById('mirror');
  const file = /** @type {!HTMLInputElement} */ (document.getElementById('file'));

  takeRedraws(file);
  const asking = document.getElementById('asking');
  ask(asking);
  // What the pixels tell comes in the background; the verdict is made anew once it is there.
  if (asking?.dataset.busy === 'true') {
    const again = setInterval(async () => {
      const answer = await fetch(window.location.href, { headers: { Accept: 'text/html' } }).catch(() => null);
      const page = answer?.ok ? new DOMParser().parseFromString(await answer.text(), 'text/html') : null;
      if (page?.getElementById('asking')?.dataset.busy === 'false' && renew()) clearInterval(again);
    }, 1500);
  }
  if (!mirror) return;

  const width = Number(mirror.dataset.width);
  const height = Number(mirror.dataset.height);
  const slider = document.getElementById('fold-at');
  const node = (id) => document.getElementById(id);
  let mode = 'fold';
  let fold = Number(mirror.dataset.fold);

  // ---------- yours laid by hand: kept on this device for this pair, as a view is
  const kept = `pen-mirror-laid-${mirror.dataset.pair}`;
  const middle = { x: width / 2, y: height / 2 };
  let laid = Laid.read(localStorage.getItem(kept));
  const isMirrored = () => pressed('flip') !== pressed('turn');
  const lay = (next) => {
    laid = next;
    if (laid.isAsItWas()) localStorage.removeItem(kept); else localStorage.setItem(kept, laid.text());
    show();
  };
  const steps = {
    smaller: () => laid.sized(1 / 1.005, middle),
    larger: () => laid.sized(1.005, middle),
    left: () => laid.turned(isMirrored() ? 0.25 : -0.25, middle),
    right: () => laid.turned(isMirrored() ? -0.25 : 0.25, middle),
    back: () => Laid.asItWas(),
  };
  const move = (dx, dy) => lay(laid.moved(isMirrored() ? -dx : dx, dy));

  const show = () => {
    const flip = pressed('flip');
    const room = mode === 'beside' ? 2 * width + 20 : width;
    mirror.setAttribute('viewBox', `0 0 ${room} ${height}`);
    node('flipped').setAttribute('transform', flip ? `translate(${room} 0) scale(-1 1)` : '');
    const foldInside = flip ? width - fold : fold;
    const left = mode === 'fold' ? foldInside : width;
    node('left-clip').setAttribute('x', mode === 'fold' && flip ? foldInside : 0);
    node('left-clip').setAttribute('width', mode === 'fold' && flip ? width - foldInside : left);
    node('right-clip').setAttribute('x', mode === 'fold' && !flip ? foldInside : 0);
    node('right-clip').setAttribute('width', mode === 'fold' ? (flip ? foldInside : width - foldInside) : room);
    // Yours alone is turned about the head of the source, so that both still lie over each other.
    const turned = pressed('turn') ? `translate(${2 * Number(mirror.dataset.fold)} 0) scale(-1 1)` : '';
    const aside = (mode === 'beside' ? `translate(${width + 20} 0)` : '') + turned;
    node('redraw-place').setAttribute('transform', `${aside} ${laid.transform()}`);
    node('mirror-marks-place').setAttribute('transform', aside);
    node('your-marks').setAttribute('transform', laid.transform());
    mirror.classList.toggle('by-hand', pressed('hand'));
    node('hand-laid').hidden = !pressed('hand') && laid.isAsItWas();
    node('redraw-side').setAttribute('opacity', String(mode === 'over' ? fold / width : 1));
    mirror.classList.toggle('far', pressed('far'));
    mirror.classList.toggle('grey', pressed('grey'));
    mirror.classList.toggle('squint', pressed('squint'));
    mirror.classList.toggle('in-values', pressed('values'));
    mirror.classList.toggle('no-marks', !pressed('marks'));
    node('fold-line').setAttribute('d', mode === 'fold' ? `M${fold} 0V${height}` : '');
    // Words would read mirrored: turn the numbers back.
    document.querySelectorAll('#mirror .pin text').forEach((text) => text.setAttribute('transform', flip !== pressed('turn') ? 'scale(-1 1)' : ''));
    slider.disabled = mode === 'beside';
    slider.labels?.forEach((label) => { label.textContent = mode === 'over' ? label.dataset.over : label.dataset.fold; });
    slider.value = String(fold);
  };

  const button = (name) => document.querySelector(`[data-toggle="${name}"]`);
  const pressed = (name) => button(name).getAttribute('aria-pressed') === 'true';
  const values = new Values(node('in-values'), button('values'));
  const toggle = async (name) => {
    if (name === 'values' && !pressed(name) && !(await values.ready())) return;
    button(name).setAttribute('aria-pressed', String(!pressed(name)));
    show();
  };
  const setMode = (name) => {
    mode = name;
    document.querySelectorAll('[data-mode]').forEach((each) => each.setAttribute('aria-pressed', String(each.dataset.mode === name)));
    show();
  };
  const setFold = (x) => { fold = Math.max(0, Math.min(width, x)); show(); };

  document.querySelectorAll('[data-toggle]').forEach((each) => each.addEventListener('click', () => toggle(each.dataset.toggle)));
  document.querySelectorAll('[data-mode]').forEach((each) => each.addEventListener('click', () => setMode(each.dataset.mode)));
  slider.addEventListener('input', () => setFold(Number(slider.value)));
  node('source').addEventListener('change', (event) => event.target.form.submit());

  document.querySelectorAll('[data-lays]').forEach((each) => each.addEventListener('click', () => lay(steps[each.dataset.lays]())));
  mirror.addEventListener('wheel', (event) => {
    if (!pressed('hand')) return;
    event.preventDefault();
    lay(laid.sized(Math.exp(-event.deltaY / 2000), middle));
  }, { passive: false });

  let dragging = false;
  /** Where the hand last was while it moves yours. */
  let last = null;
  const toPicture = (event) => {
    const matrix = mirror.getScreenCTM().inverse();
    return new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  };
  mirror.addEventListener('pointerdown', (event) => {
    if (pressed('hand') && event.button === 0) {
      last = toPicture(event);
      mirror.setPointerCapture(event.pointerId);
      return;
    }
    if (mode !== 'fold') return;
    dragging = true;
    mirror.setPointerCapture(event.pointerId);
    setFold(toPicture(event).x);
  });
  mirror.addEventListener('pointermove', (event) => {
    if (dragging) setFold(toPicture(event).x);
    if (!last) return;
    const here = toPicture(event);
    move(here.x - last.x, here.y - last.y);
    last = here;
  });
  const letGo = () => { dragging = false; last = null; };
  mirror.addEventListener('pointerup', letGo);
  mirror.addEventListener('pointercancel', letGo);

  // The list of places comes once its heading is opened, and goes from the picture when it is closed.
  const placesOfLine = node('line-places');
  const loops = () => {
    const list = document.getElementById('line-off');
    node('line-marks').toggleAttribute('hidden', !placesOfLine.open);
    if (list && placesOfLine.open) loop(list, node('line-marks'));
  };
  placesOfLine.addEventListener('htmx:afterSwap', loops);
  placesOfLine.addEventListener('toggle', loops);

  const mended = new Mended(node('mended-picture'), node('mended-told'));

  // ---------- where readings come from, over both pictures
  const layerChoice = node('layer');
  let evidence = null;
  let marksWere = false;
  async function looked() {
    if (!evidence) {
      evidence = [...document.querySelectorAll('.layer-over')].map((parent) => {
        const data = parent.dataset;
        const one = new Evidence(Number(data.width), Number(data.height), parent, Number(data.head));
        return { one, loaded: one.load(data.origin) };
      });
    }
    await Promise.all(evidence.map((each) => each.loaded));
    return evidence.map((each) => each.one);
  }
  async function showLayer(name) {
    const state = node('layer-state');
    const legend = new Legend(node('legend'), node('layer-words'));
    layerChoice.value = name;
    // Pins and dots would hide what is shown: they come back with the pictures alone.
    if (name && pressed('marks')) {
      marksWere = true;
      toggle('marks');
    } else if (!name && marksWere) {
      marksWere = false;
      if (!pressed('marks')) toggle('marks');
    }
    node('layer-legend').hidden = !name;
    legend.clear();
    node('layer-about').textContent = layerChoice.selectedOptions[0].dataset.about ?? '';
    document.querySelectorAll('.from').forEach((row) => row.classList.toggle('now', row.dataset.layer === name));
    if (!name && !evidence) return;
    state.textContent = state.dataset.looking;
    try {
      const both = await looked();
      if (layerChoice.value !== name) return;
      for (const one of both) {
        one.clear(0);
        if (name) layers[name](one, both[0], one === both[0] ? legend : null);
      }
      state.textContent = '';
    } catch {
      evidence = null;
      document.querySelectorAll('.layer-over').forEach((parent) => parent.replaceChildren());
      state.textContent = state.dataset.failed;
    }
  }
  layerChoice.addEventListener('change', () => showLayer(layerChoice.value));
  document.querySelectorAll('.from').forEach((row) => row.addEventListener('click', (event) => {
    if (event.ctrlKey || event.metaKey || event.shiftKey) return;
    event.preventDefault();
    showLayer(layerChoice.value === row.dataset.layer ? '' : row.dataset.layer);
  }));

  const fixes = [...document.querySelectorAll('.fix')];
  const choose = (fix) => {
    fixes.forEach((each) => each.classList.toggle('now', each === fix));
    document.querySelectorAll('.three li, .close li').forEach((each) => each.classList.toggle('now', each.dataset.first === fix.dataset.fix));
    document.querySelectorAll('#mirror .pin').forEach((pin) => pin.classList.toggle('now', pin.textContent.trim() === fix.dataset.fix));
  };
  fixes.forEach((fix) => {
    fix.addEventListener('focus', () => choose(fix));
    fix.addEventListener('click', () => fix.focus());
  });
  document.querySelectorAll('.three li, .close li').forEach((each) => each.addEventListener('click', () => fixes[Number(each.dataset.first) - 1]?.focus()));

  /** Answers the statement in focus, or else the first that nobody answered. */
  const answer = (says) => {
    const rows = [...document.querySelectorAll('.tick')];
    const open = rows.find((row) => row.contains(document.activeElement)) ?? rows.find((row) => !row.querySelector('[aria-pressed=true]'));
    open?.querySelector(`[data-says=${says}]`).click();
  };

  document.addEventListener('keydown', (event) => {
    if (typing(event)) return;
    const at = fixes.indexOf(document.activeElement);
    const letters = lettersOn();
    const key = event.key.toLowerCase();
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    const step = { '-': 'smaller', '+': 'larger', '=': 'larger', ',': 'left', '.': 'right' }[event.key];
    if (pressed('hand') && way) {
      const by = width / (event.shiftKey ? 60 : 600);
      move(way[0] * by, way[1] * by);
    } else if (letters && pressed('hand') && step) {
      lay(steps[step]());
    } else if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
      setFold(fold + (event.key === 'ArrowRight' ? 1 : -1) * (event.shiftKey ? width / 10 : width / 60));
    } else if (!letters) {
      return;
    } else if (key === 'j') {
      fixes[Math.min(fixes.length - 1, at + 1)]?.focus();
    } else if (key === 'k') {
      fixes[Math.max(0, at - 1)]?.focus();
    } else if (key === 'o') {
      setMode(mode === 'over' ? 'fold' : 'over');
    } else if (key === 'f') {
      toggle('flip');
    } else if (key === 'g') {
      toggle('grey');
    } else if (key === 'r') {
      toggle('turn');
    } else if (key === 'a') {
      toggle('far');
    } else if (key === 's') {
      toggle('squint');
    } else if (key === 'h') {
      toggle('hand');
    } else if (key === 'v') {
      toggle('values');
    } else if (key === ' ') {
      if (document.activeElement?.closest('a, button, input, select, summary')) return;
      mended.turn();
    } else if (key === 'd' || key === 'p') {
      (fixes[at] ?? fixes[0])?.querySelector(`[data-says-of-fix=${key === 'd' ? 'done' : 'purpose'}]`)?.click();
    } else if (key === 'm') {
      toggle('marks');
    } else if (key === 'l') {
      layerChoice.focus();
    } else if (key === 'e') {
      node('mood').focus();
    } else if (key === 't') {
      node('stage').focus();
    } else if (key === 'y' || key === 'n') {
      answer(key === 'y' ? 'yes' : 'no');
    } else {
      return;
    }
    event.preventDefault();
  });
  show();
})();
