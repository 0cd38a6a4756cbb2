// Boxes for picks and figures, and notes drawn over the picture. Notes keep themselves.

import { headers, lettersOn, typing } from '../layout/studio.js';
import { make } from '../layout/svg.js';

const work = document.getElementById('work');
const picture = document.getElementById('picture');
const frame = document.getElementById('frame');
const notes = document.getElementById('notes');
const form = document.getElementById('box');
const kept = document.getElementById('kept');
const size = picture.viewBox.baseVal;
const unit = Math.max(size.width, size.height);
let shapes = /** @type {!Array<!Object>} */ (JSON.parse(work.dataset.shapes));
let version = work.dataset.version;
/** What another window has kept meanwhile, until the user says which counts. */
let theirs = null;
let tool = 'pick';

const drawn = (shape) => {
  const p = shape.points;
  if (shape.kind === 'words') {
    const text = make('text', { x: p[0], y: p[1], 'font-size': unit / 45 });
    text.textContent = shape.text;
    return [text];
  }
  const attributes = shape.kind === 'ellipse'
    ? { cx: (p[0] + p[2]) / 2, cy: (p[1] + p[3]) / 2, rx: Math.abs(p[2] - p[0]) / 2, ry: Math.abs(p[3] - p[1]) / 2 }
    : { d: p.reduce((d, value, i) => d + (i % 2 ? ` ${value}` : `${i ? 'L' : 'M'}${value}`), '') };
  const name = shape.kind === 'ellipse' ? 'ellipse' : 'path';
  return [make(name, { ...attributes, class: 'case' }), make(name, attributes)];
};
const isIn = (list, shape) => list.some((other) => JSON.stringify(other) === JSON.stringify(shape));
const both = () => (theirs ? [...theirs, ...shapes.filter((shape) => !isIn(theirs, shape))] : shapes);
const show = (extra = null) => notes.replaceChildren(...[...both(), ...(extra ? [extra] : [])].flatMap(drawn));

const conflict = document.getElementById('notes-conflict');
const settle = (chosen) => {
  shapes = chosen;
  theirs = null;
  conflict.hidden = true;
  show();
  keep();
};
conflict.querySelector('[data-keep=mine]').addEventListener('click', () => settle(both()));
conflict.querySelector('[data-keep=theirs]').addEventListener('click', () => settle(theirs));

let timer = 0;
const keep = () => {
  clearTimeout(timer);
  if (theirs) return;
  kept.hidden = false;
  kept.textContent = kept.dataset.saving;
  timer = setTimeout(async () => {
    try {
      const answer = await fetch(work.dataset.notes, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', 'X-Version': version, ...headers() },
        body: JSON.stringify(shapes),
      });
      if (answer.status === 409) {
        theirs = await answer.json();
        version = answer.headers.get('X-Version');
        kept.textContent = kept.dataset.conflict;
        conflict.hidden = false;
        show();
        return;
      }
      version = answer.headers.get('X-Version') ?? version;
      if (!answer.ok) throw new Error(String(answer.status));
      kept.textContent = kept.dataset.kept;
    } catch {
      kept.textContent = kept.dataset.lost;
      timer = setTimeout(keep, 3000);
    }
  }, 400);
};

document.querySelectorAll('[data-tool]').forEach((button) => button.addEventListener('click', () => {
  tool = button.dataset.tool;
  document.querySelectorAll('[data-tool]').forEach((b) => b.setAttribute('aria-pressed', String(b === button)));
}));
const undo = () => { shapes = shapes.slice(0, -1); show(); keep(); };
document.getElementById('undo').addEventListener('click', undo);
const toggle = document.getElementById('show-notes');
toggle.addEventListener('click', () => {
  toggle.setAttribute('aria-pressed', String(!work.classList.toggle('off')));
});

const place = (event) =>
  new DOMPoint(event.clientX, event.clientY).matrixTransform(picture.getScreenCTM().inverse());
const round = (value) => Math.round(value * 10) / 10;
let from = null;
let points = [];
picture.addEventListener('pointerdown', (event) => {
  if (event.button !== 0) return;
  from = place(event);
  points = [round(from.x), round(from.y)];
  picture.setPointerCapture(event.pointerId);
});
picture.addEventListener('pointermove', (event) => {
  if (!from) return;
  const to = place(event);
  if (tool === 'line') {
    points.push(round(to.x), round(to.y));
    show({ kind: 'line', points });
  } else if (tool === 'ellipse') {
    show({ kind: 'ellipse', points: [from.x, from.y, to.x, to.y] });
  } else if (tool !== 'words') {
    frame.setAttribute('x', Math.min(from.x, to.x));
    frame.setAttribute('y', Math.min(from.y, to.y));
    frame.setAttribute('width', Math.abs(to.x - from.x));
    frame.setAttribute('height', Math.abs(to.y - from.y));
  }
});
picture.addEventListener('pointercancel', () => { from = null; show(); });
picture.addEventListener('pointerup', (event) => {
  if (!from) return;
  const to = place(event);
  const start = from;
  from = null;
  const far = Math.hypot(to.x - start.x, to.y - start.y) > unit / 200;
  if (tool === 'words') {
    ask(start, event);
  } else if (tool === 'line' || tool === 'ellipse') {
    if (far) {
      shapes = [...shapes, tool === 'line'
        ? { kind: 'line', points: points.length > 4000 ? points.slice(0, 4000) : points }
        : { kind: 'ellipse', points: [start.x, start.y, to.x, to.y].map(round) }];
      keep();
    }
    show();
  } else if (far) {
    const fields = form.elements;
    fields.x.value = Math.min(start.x, to.x);
    fields.y.value = Math.min(start.y, to.y);
    fields.width.value = Math.abs(to.x - start.x);
    fields.height.value = Math.abs(to.y - start.y);
    form.action = tool === 'figure' ? form.dataset.figure : form.dataset.pick;
    form.requestSubmit();
  }
});

/** Words are typed where they stand. */
const ask = (at, event) => {
  const field = document.createElement('input');
  field.className = 'form-control form-control-sm words-field';
  field.maxLength = 200;
  field.style.position = 'fixed';
  field.style.left = `${event.clientX}px`;
  field.style.top = `${event.clientY - 14}px`;
  field.style.width = '220px';
  field.setAttribute('aria-label', document.querySelector('[data-tool=words]').textContent);
  const end = () => {
    if (field.value.trim()) {
      shapes = [...shapes, { kind: 'words', points: [round(at.x), round(at.y)], text: field.value.trim() }];
      show();
      keep();
    }
    field.remove();
  };
  field.addEventListener('keydown', (key) => {
    if (key.key === 'Enter') field.blur();
    if (key.key === 'Escape') { field.value = ''; field.blur(); }
  });
  field.addEventListener('blur', end, { once: true });
  document.body.append(field);
  setTimeout(() => field.focus(), 0);
};

document.addEventListener('keydown', (event) => {
  if (typing(event) || !lettersOn()) return;
  if (event.key.toLowerCase() === 'z' && shapes.length) undo();
});
show();
