// Where readings come from: layers over the picture, told by origin.json of the work.

import { fill, headers, lettersOn } from '../layout/studio.js';
import { make } from '../layout/svg.js';
import { View } from '../layout/view.js';
import { Evidence, Legend, layers, rgba } from './layers.js';

const pane = document.getElementById('pane');
const $ = (id) => document.getElementById(id);

/** Around a picture that is fitted, pixels of the screen. */
const ROOM = 32;
/** Pixels of the picture across at the closest, and pictures across at the farthest. */
const CLOSEST = 8;
const FARTHEST = 8;

/** One picture with its layers. */
class Pane extends Evidence {
  constructor(figure) {
    const svg = figure.querySelector('svg.art');
    const [width, height] = [Number(figure.dataset.width), Number(figure.dataset.height)];
    make('image', { href: figure.dataset.picture, width, height }, svg);
    super(width, height, svg, Number(figure.dataset.head) || 0);
    this.figure = figure;
    this.svg = svg;
    this.strokes = make('g', {}, this.svg);
    this.view = new View(0, 0, width, height);
    this.fit();
    new ResizeObserver(() => this.fit()).observe(figure);
  }

  box() {
    return this.figure.getBoundingClientRect();
  }

  fit() {
    const box = this.box();
    if (!box.width || !box.height) return;
    const margin = Math.max(box.width / (box.width - ROOM), box.height / (box.height - ROOM));
    this.look(View.fitted(this, box, margin));
  }

  look(view) {
    this.view = view;
    this.svg.setAttribute('viewBox', view.viewBox());
  }

  place(event) {
    return this.view.placeOf(event, this.box());
  }

  /** Farther away by a factor above one. */
  zoom(factor, at = this.view.middle()) {
    this.look(this.view.zoomed(1 / factor, at, CLOSEST, FARTHEST * Math.max(this.width, this.height)));
  }
}

const legend = new Legend($('legend'), $('layer-words'));

function listSwatches(p) {
  const list = $('swatches');
  list.replaceChildren();
  p.origin.swatches.slice(0, 14).forEach((swatch, at) => {
    const item = document.createElement('li');
    const button = document.createElement('button');
    button.type = 'button';
    button.className = 'bare';
    const square = make('svg', { width: 16, height: 16, 'aria-hidden': 'true' }, button);
    make('rect', { width: 16, height: 16, fill: swatch.hex }, square);
    button.append(`${swatch.hex} ${fill(list.dataset.share, (100 * swatch.share).toFixed(swatch.share < 0.1 ? 1 : 0))}`);
    const light = () => { p.clear(0.85); p.paint('colour', (v) => v === at + 1 ? rgba(swatch.hex, 255) : null); };
    button.addEventListener('pointerenter', light);
    button.addEventListener('focus', light);
    button.addEventListener('click', light);
    button.addEventListener('pointerleave', () => draw());
    item.append(button);
    list.append(item);
  });
}

const first = new Pane(pane);
const panes = [first];
if ($('pane-beside')) panes.push(new Pane($('pane-beside')));
let layer = 'weight';
let bare = false;
const layerButtons = [...document.querySelectorAll('[data-layer].bare:not(.reading)')];

function draw() {
  for (const p of panes) {
    if (!p.origin) continue;
    if (bare) p.clear(0);
    else layers[layer](p, first, p === first ? legend : null);
  }
  drawEdits();
}

function show(name) {
  layer = name;
  for (const button of layerButtons) button.setAttribute('aria-pressed', String(button.dataset.layer === name));
  const now = layerButtons.find((button) => button.dataset.layer === name);
  $('about').textContent = now ? now.dataset.about : '';
  legend.clear();
  $('swatches').hidden = name !== 'colours';
  $('figure-tools').hidden = !isMended(name);
  for (const tool of $('figure-tools').querySelectorAll('[data-of]')) tool.hidden = tool.dataset.of !== name;
  $('role-tools').hidden = name !== 'colours';
  hold(null);
  if (name !== 'colours') picking(null);
  draw();
}
for (const button of layerButtons) button.addEventListener('click', () => show(button.dataset.layer));

// ---------- readings
const rowsSlot = $('rows-slot');
function tab(name) {
  for (const button of document.querySelectorAll('.tabs [data-tab]')) button.setAttribute('aria-pressed', String(button.dataset.tab === name));
  for (const row of rowsSlot.querySelectorAll('.reading, .act-head')) row.hidden = row.dataset.tab !== name;
}
function choose(row) {
  for (const other of rowsSlot.querySelectorAll('.reading')) other.setAttribute('aria-pressed', String(other === row));
  pane.dataset.show = row.dataset.key;
  if ($('show-field')) $('show-field').value = row.dataset.key;
  $('how-name').textContent = row.querySelector('.name').textContent;
  $('how-formula').textContent = row.dataset.formula;
  const error = $('how-error');
  const parts = [row.dataset.error ? fill(error.dataset.error, row.dataset.error, row.dataset.unit) : error.dataset.none];
  if (row.dataset.rule) parts.push(fill(error.dataset.rule, row.dataset.rule, row.dataset.unit));
  error.textContent = parts.join(' ');
}
/** Chooses a reading and shows where it comes from. */
function go(row) {
  if (!row) return;
  choose(row);
  if (row.dataset.layer !== layer) show(row.dataset.layer);
}
rowsSlot.addEventListener('click', (event) => go(event.target.closest('.reading')));
for (const button of document.querySelectorAll('.tabs [data-tab]')) button.addEventListener('click', () => tab(button.dataset.tab));
/** Marks the reading that is spoken of; what is shown over the picture stays. */
function arrive() {
  const row = rowsSlot.querySelector(`.reading[data-key="${CSS.escape(pane.dataset.show)}"]`) || rowsSlot.querySelector('.reading');
  if (!row) return null;
  tab(row.dataset.tab);
  choose(row);
  return row;
}

// ---------- moving about
const pointers = new Map();
for (const p of panes) {
  p.figure.addEventListener('wheel', (event) => {
    event.preventDefault();
    p.zoom(event.deltaY > 0 ? 1.15 : 1 / 1.15, p.place(event));
  }, { passive: false });
  p.figure.addEventListener('pointerdown', (event) => {
    if (p === first && tone) { pick(p.place(event)); return; }
    p.figure.setPointerCapture(event.pointerId);
    if (p === first && brush) { begin(p.place(event)); return; }
    pointers.set(event.pointerId, [event.clientX, event.clientY]);
  });
  p.figure.addEventListener('pointermove', (event) => {
    if (stroke && p === first) { extend(p.place(event)); return; }
    const before = pointers.get(event.pointerId);
    if (!before) return;
    const pixel = p.view.pixel(p.box());
    p.look(p.view.moved(-(event.clientX - before[0]) * pixel, -(event.clientY - before[1]) * pixel));
    pointers.set(event.pointerId, [event.clientX, event.clientY]);
  });
  const end = (event) => { pointers.delete(event.pointerId); if (stroke && p === first) finish(); };
  p.figure.addEventListener('pointerup', end);
  p.figure.addEventListener('pointercancel', end);
}
const zooms = { in: () => panes.forEach((p) => p.zoom(1 / 1.4)), out: () => panes.forEach((p) => p.zoom(1.4)), fit: () => panes.forEach((p) => p.fit()), bare: () => alone() };
function alone() {
  bare = !bare;
  document.querySelector('[data-zoom=bare]').setAttribute('aria-pressed', String(bare));
  draw();
}
for (const button of document.querySelectorAll('[data-zoom]')) button.addEventListener('click', () => zooms[button.dataset.zoom]());

document.addEventListener('keydown', (event) => {
  if (event.target.closest('input, select, textarea, dialog') || event.ctrlKey || event.metaKey || event.altKey) return;
  const at = layerButtons.findIndex((button) => button.dataset.layer === layer);
  const rows = [...rowsSlot.querySelectorAll('.reading:not([hidden])')];
  const row = rows.findIndex((r) => r.getAttribute('aria-pressed') === 'true');
  const moves = {
    ArrowRight: () => show(layerButtons[(at + 1) % layerButtons.length].dataset.layer),
    ArrowLeft: () => show(layerButtons[(at - 1 + layerButtons.length) % layerButtons.length].dataset.layer),
    ArrowDown: () => go(rows[Math.min(rows.length - 1, row + 1)]),
    ArrowUp: () => go(rows[Math.max(0, row - 1)]),
    '+': () => zooms.in(), '=': () => zooms.in(), '-': () => zooms.out(), 0: () => zooms.fit(),
  };
  if (lettersOn()) moves.b = () => alone();
  const move = moves[event.key];
  if (move) { event.preventDefault(); move(); }
});

// ---------- the figure by hand
let brush = null;
let stroke = null;
const edits = JSON.parse(pane.dataset.edits).edits;
let version = pane.dataset.version;
/** What another window has kept meanwhile, until the user says which counts. */
let theirs = null;
const editLayer = first.strokes;
function hold(kind) {
  brush = kind;
  pane.classList.toggle('painting', Boolean(kind));
  for (const button of document.querySelectorAll('[data-brush]')) button.setAttribute('aria-pressed', String(button.dataset.brush === kind));
}
for (const button of document.querySelectorAll('[data-brush]')) button.addEventListener('click', () => hold(brush === button.dataset.brush ? null : button.dataset.brush));
const radius = () => Number($('brush-size').value) * Math.max(first.width, first.height) / 1600;
const begin = (at) => { stroke = { kind: brush, radius: brush === 'loop' ? 0 : radius(), points: [[at.x, at.y]] }; drawEdits(); };
function extend(at) {
  const [x, y] = stroke.points[stroke.points.length - 1];
  if (Math.hypot(at.x - x, at.y - y) > 3 * first.view.pixel(first.box())) { stroke.points.push([at.x, at.y]); drawEdits(); }
}
function finish() {
  const done = stroke;
  stroke = null;
  if (done.kind === 'loop' && done.points.length < 3) { drawEdits(); return; }
  if (done.kind === 'loop') edits.splice(0, edits.length, ...edits.filter((edit) => edit.kind !== 'loop'));
  edits.push(done);
  drawEdits();
  send();
}
const isMended = (name) => name === 'figure' || name === 'parts';
const figureBrushes = ['loop', 'keep', 'drop'];
/** Whether a stroke belongs to what is mended on a layer: the figure or its parts. */
const isOf = (edit, name) => (figureBrushes.includes(edit.kind) ? 'figure' : 'parts') === name;
function drawEdits() {
  editLayer.replaceChildren();
  if (bare) return;
  const mine = stroke ? [...edits, stroke] : edits;
  for (const edit of (theirs ? [...theirs, ...mine] : mine).filter((one) => isOf(one, layer))) {
    const plain = edit.kind === 'drop' ? '#222326' : '#fff';
    const d = edit.points.map(([x, y], i) => `${i ? 'L' : 'M'}${x} ${y}`).join('') + (edit.kind === 'loop' && edit !== stroke ? 'z' : edit.points.length === 1 ? 'h0.01' : '');
    make('path', { d, fill: 'none', stroke: theirs && mine.includes(edit) ? '#2A80A6' : plain, 'stroke-width': edit.kind === 'loop' ? 2 * first.view.pixel(first.box()) : 2 * edit.radius, 'stroke-opacity': edit.kind === 'loop' ? 1 : 0.45, 'stroke-linecap': 'round', 'stroke-linejoin': 'round' }, editLayer);
  }
}
const state = $('figure-state');
let sent = 0;
const conflict = $('figure-conflict');
/** Another window was quicker: both are shown, and nothing is sent until the user has chosen. */
async function meet(reply) {
  theirs = (await reply.json()).edits;
  version = reply.headers.get('X-Version');
  state.textContent = state.dataset.conflict;
  conflict.hidden = false;
  drawEdits();
}
function settle(chosen) {
  edits.splice(0, edits.length, ...chosen);
  theirs = null;
  conflict.hidden = true;
  drawEdits();
  send();
}
conflict.querySelector('[data-keep=mine]').addEventListener('click', () => settle([...edits]));
conflict.querySelector('[data-keep=theirs]').addEventListener('click', () => settle(theirs));
async function send() {
  if (theirs) return;
  const mine = ++sent;
  state.textContent = state.dataset.saving;
  let kept = false;
  try {
    const body = JSON.stringify({ edits: edits.map((edit) => ({ kind: edit.kind, radius: edit.radius, points: edit.points.map(([x, y]) => [Math.round(10 * x) / 10, Math.round(10 * y) / 10]) })) });
    const reply = await fetch(pane.dataset.figure, { method: 'POST', headers: { 'Content-Type': 'application/json', 'X-Version': version, ...headers() }, body });
    if (reply.status === 409) { await meet(reply); return; }
    version = reply.headers.get('X-Version') ?? version;
    if (!reply.ok) throw new Error(String(reply.status));
    kept = true;
    state.textContent = state.dataset.reading;
    await first.load(pane.dataset.origin);
    if (mine !== sent) return;
    draw();
    listSwatches(first);
    await readAgain(mine);
  } catch {
    if (mine === sent) state.textContent = kept ? state.dataset.unread : state.dataset.failed;
  }
}
/** Waits until the picture has been read anew in the background, then shows the rows. */
async function readAgain(mine) {
  for (let tries = 0; tries < 60 && mine === sent; tries++) {
    await new Promise((resolve) => setTimeout(resolve, 700));
    const reply = await fetch(pane.dataset.rows);
    if (!reply.ok) throw new Error(String(reply.status));
    const holder = document.createElement('div');
    holder.innerHTML = await reply.text();
    const rows = holder.querySelector('#rows');
    if (rows && rows.dataset.underWay === 'false') {
      rowsSlot.replaceChildren(rows);
      arrive();
      if (tries > 0) { state.textContent = state.dataset.done; return; }
    }
  }
}
function keepEdits(kept) {
  if (kept.length === edits.length) return;
  edits.splice(0, edits.length, ...kept);
  drawEdits();
  send();
}
$('undo-stroke').addEventListener('click', () => {
  const last = edits.findLastIndex((edit) => isOf(edit, layer));
  keepEdits(edits.filter((edit, i) => i !== last));
});
$('as-found').addEventListener('click', () => keepEdits(edits.filter((edit) => !isOf(edit, layer))));

// ---------- colours by role
let tone = null;
let role = '';
function picking(which, of = '') {
  tone = which;
  role = of;
  pane.classList.toggle('picking', Boolean(which));
  const button = $('pick');
  button.setAttribute('aria-pressed', String(which === 'BASE' && !of));
  for (const cell of document.querySelectorAll('.tone')) cell.setAttribute('aria-pressed', String(cell.dataset.tone === which && cell.dataset.role === of));
}
$('pick').addEventListener('click', () => {
  if (!$('role').value.trim()) { $('role').focus(); return; }
  picking(tone ? null : 'BASE');
});
const rolesSlot = $('roles-slot');
rolesSlot.addEventListener('click', async (event) => {
  const cell = event.target.closest('.tone');
  if (cell) { picking(tone === cell.dataset.tone && role === cell.dataset.role ? null : cell.dataset.tone, cell.dataset.role); return; }
  const forget = event.target.closest('[data-forget]');
  if (forget) await post(`${pane.dataset.roles}/forget`, { role: forget.dataset.forget });
});
const disc = $('disc');
const sayDisc = () => { $('disc-size').textContent = `${2 * Number(disc.value) + 1} px`; };
disc.addEventListener('input', sayDisc);
sayDisc();
async function pick({ x, y }) {
  const name = role || $('role').value.trim();
  const which = tone;
  picking(null);
  await post(pane.dataset.roles, { role: name, tone: which, x, y, radius: disc.value });
}
async function post(url, fields) {
  const reply = await fetch(url, { method: 'POST', headers: headers(), body: new URLSearchParams(fields) });
  const holder = document.createElement('div');
  holder.innerHTML = await reply.text();
  rolesSlot.replaceChildren(...holder.children);
}

if ($('beside')) $('beside').addEventListener('change', () => $('beside').form.submit());

// ---------- begin
const chip = $('state');
const spokenOf = arrive();
if (spokenOf) layer = spokenOf.dataset.layer;
Promise.all(panes.map((p) => p.load(p.figure.dataset.origin)))
  .then(() => { chip.hidden = true; listSwatches(first); show(layer); })
  .catch(() => { chip.textContent = pane.dataset.failed; });
