// The bench: places and moves landmarks over the picture, and sends them to be kept and read. All
// numbers of readings come back from the server; here the parts of the bench are brought together.

import { fill, headers, lettersOn } from '../layout/studio.js';
import { View } from '../layout/view.js';
import { drawCross, drawEarlier, drawGuides, drawRuler, symbol } from './drawing.js';
import { Guessing } from './guessing.js';
import { Keeping, State } from './keeping.js';
import { copied, Landmarks, Marking } from './marking.js';
import { Pointing } from './pointing.js';
import { Readings } from './readings.js';
import { Roll } from './roll.js';
import { Ruler } from './ruler.js';
import { snap } from './snap.js';

const $ = (id) => document.getElementById(id);
const MARGIN = 1.06;
const CLOSEST = 24;
/** Smaller than this share of the bench a head alone is brought close. */
const SMALL_HEAD = 0.4;
const SNAP_REACH = 9;
const LOUPE = 116;
const SEQUENCES = { crown: /^$/, eyes: /^(eye|lash|iris|pupil)/, jaw: /^(crown|chin|cheek|jaw)/ };
const STEPS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

const stored = (store, key, otherwise) => JSON.parse(store.getItem(key) ?? otherwise);
const nodes = (html) => new DOMParser().parseFromString(html, 'text/html');

class Bench {
  constructor(bench) {
    this.bench = bench;
    this.data = bench.dataset;
    this.art = $('art');
    this.ask = $('ask');
    this.sequence = $('sequence');
    this.roll = new Roll($('roll'), this.data);
    const picture = { width: Number(this.data.width), height: Number(this.data.height) };
    this.marking = new Marking(picture, /** @type {!Landmarks} */ (JSON.parse(this.data.landmarks)), this.roll.mirrored());
    this.view = new View(0, 0, picture.width, picture.height);
    this.pointer = { x: picture.width / 2, y: picture.height / 2 };
    this.ruler = new Ruler();
    this.on = { snap: false, pairs: false, guides: true, ruler: false };
    /** While an iris is placed by its rim: its side, and the points so far. */
    this.rim = null;
    this.grabbed = null;
    this.doubts = {};
    /** An earlier marking laid under this one. @type {?Object<string, !Object>} */
    this.earlier = null;
    this.image = new Image();
    this.readings = new Readings($('readings-slot'), this.art, (row) => this.isAsked(row));
    this.guessing = new Guessing($('guess'), $('readings-slot'), this.data.guesses, (html) => this.showFault(html));
    this.keeping = this.keepingHere();
    this.preview = onceAtATime(() => this.previewNow());
    this.showPicture();
    this.listen();
    this.resume();
  }

  // ---- drawing -----------------------------------------------------------------------------------

  box() {
    return { width: this.art.clientWidth, height: this.art.clientHeight };
  }

  /** Picture pixels per screen pixel. */
  pixel() {
    return this.view.pixel(this.box());
  }

  see(view) {
    this.view = view;
    this.draw();
  }

  fit() {
    this.see(View.fitted(this.marking.picture, this.box(), MARGIN));
  }

  zoom(factor, at) {
    const { width, height } = this.marking.picture;
    this.see(this.view.zoomed(factor, at, CLOSEST, 8 * Math.max(width, height)));
  }

  /** The head fills the bench, once crown and chin stand. */
  fitHead() {
    const head = this.marking.head();
    const chin = this.marking.place('chin');
    if (!head || !chin) return;
    const middle = { x: (head.crown.x + chin.x) / 2, y: (head.crown.y + chin.y) / 2 };
    this.see(View.about(middle, 1.5 * Math.max(8, head.length), this.box()));
  }

  /** Close to the head, when nearly all points that stand lie there and it is small on the bench. */
  fitHeadIfSmall() {
    const head = this.marking.head();
    if (!head) return;
    const middle = { x: head.crown.x + (head.down.x * head.length) / 2, y: head.crown.y + (head.down.y * head.length) / 2 };
    const stand = this.marking.near(middle, Infinity).filter((point) => point.away < Infinity);
    const near = stand.filter((point) => point.away < head.length);
    if (near.length > 0.8 * stand.length && head.length < SMALL_HEAD * this.view.height) this.fitHead();
  }

  draw() {
    const { marking } = this;
    const pixel = this.pixel();
    this.art.setAttribute('viewBox', this.view.viewBox());
    this.art.classList.toggle('pixels', pixel < 0.34);
    const shown = marking.order.filter((key) => marking.place(key) && key !== marking.active);
    if (marking.place(marking.active)) shown.push(marking.active);
    $('marks').replaceChildren(...shown.map((key) => symbol(key, marking.landmarks[key], {
      active: key === marking.active, doubted: key in this.doubts, pixel,
    })));
    this.drawAround();
    drawRuler($('rulers'), this.on.ruler ? this.ruler.points : [], pixel);
    this.sayMeasured();
    this.drawCursor();
    this.roll.draw(marking, this.doubts);
    this.readings.place(this.view);
  }

  drawAround() {
    if (this.on.guides) drawGuides($('guides'), this.marking, this.pixel()); else $('guides').replaceChildren();
    drawEarlier($('earlier'), this.marking, this.earlier, this.pixel());
    this.drawLoupe();
  }

  /** While a point moves only what moves with it is drawn: the roll stays as it is. */
  follow() {
    for (const group of document.querySelectorAll('#marks .mark')) {
      const mark = this.marking.landmarks[group.dataset.landmark];
      const scale = group.getAttribute('transform').replace(/^.*\) /, '');
      group.setAttribute('transform', `translate(${mark.x} ${mark.y}) ${scale}`);
    }
    this.drawAround();
  }

  drawCursor() {
    $('cursor').replaceChildren();
    if (!this.marking.landmarks[this.marking.active]) {
      drawCross($('cursor'), this.pointer, this.roll.name(this.marking.active), this.pixel());
    }
  }

  drawLoupe() {
    const at = this.grabbed ? this.pointer : this.marking.place(this.marking.active) ?? this.pointer;
    const span = Math.min(96, Math.max(12, 24 * Math.min(1, this.pixel() * 2)));
    $('loupe').setAttribute('viewBox', `${at.x - span / 2} ${at.y - span / 2} ${span} ${span}`);
    const gap = span / 14;
    const d = `M${at.x - span} ${at.y}H${at.x - gap}M${at.x + gap} ${at.y}H${at.x + span}M${at.x} ${at.y - span}V${at.y - gap}M${at.x} ${at.y + gap}V${at.y + span}`;
    // White on a dark casing, so that it shows on light skin and on dark hair alike.
    for (const [id, thickness] of [['loupe-case', span / 32], ['loupe-cross', span / 80]]) {
      $(id).setAttribute('d', d);
      $(id).setAttribute('stroke-width', String(thickness));
    }
    $('loupe-place').textContent = `${Math.round(at.x)}, ${Math.round(at.y)}`;
    $('loupe-zoom').textContent = `${(LOUPE / span).toFixed(1)}×`;
  }

  sayMeasured() {
    const measured = $('measured');
    const length = this.on.ruler ? this.ruler.length() : null;
    measured.hidden = length === null;
    if (length === null) return;
    const head = this.marking.head();
    const words = [fill(measured.dataset.text, length.toFixed(1), head ? (length / head.length).toFixed(3) : '–')];
    if (this.data.inch) words.push(fill(measured.dataset.mm, (25.4 * length / Number(this.data.inch)).toFixed(1)));
    const angle = this.ruler.angle();
    if (angle !== null) words.push(fill(measured.dataset.angle, angle.toFixed(1)));
    measured.textContent = words.join(', ');
  }

  say(text) {
    $('say').textContent = text;
  }

  sayActive() {
    const place = this.marking.place(this.marking.active);
    this.say(`${this.roll.name(this.marking.active)}. ${place ? `${place.x}, ${place.y}` : this.data.toplace}`);
  }

  // ---- readings ----------------------------------------------------------------------------------

  isAsked(row) {
    const needs = row.dataset.landmarks.split(' ');
    return this.ask.value === row.dataset.measure || needs.every((key) => this.marking.order.includes(key));
  }

  showReadings(html) {
    const block = this.readings.take(html);
    if (!block) return;
    $('head-note').textContent = block.dataset.head;
    this.readDoubts();
    this.guessing.cover();
    this.readings.place(this.view);
  }

  /** What the server doubts is said at the point, in the roll's help and aloud. */
  readDoubts() {
    const doubts = this.readings.doubts();
    const isNew = JSON.stringify(doubts) !== JSON.stringify(this.doubts);
    this.doubts = doubts;
    if (isNew && !this.grabbed) this.draw();
  }

  async previewNow() {
    const body = JSON.stringify(this.marking.landmarks);
    const moving = await this.post(this.data.preview, body, { Accept: 'application/json' });
    if (!moving.ok) return;
    const { head, rows } = await moving.json();
    if (this.readings.follow(rows)) {
      $('head-note').textContent = head;
      this.readings.place(this.view);
      return;
    }
    const whole = await this.post(this.data.preview, body, { Accept: 'text/html' });
    if (whole.ok) this.showReadings(await whole.text());
  }

  // ---- keeping -----------------------------------------------------------------------------------

  keys() {
    const { study, work } = this.data;
    return {
      settings: `pen-mirror-bench-${study}`,
      draft: `pen-mirror-draft-${work}`,
      // Marks are kept without the chances of what was proposed: those stay in this browser.
      chances: `pen-mirror-chances-${work}`,
      sitting: `pen-mirror-sitting-${work}`,
    };
  }

  post(url, body, extra = {}, options = {}) {
    const by = encodeURIComponent(localStorage.getItem('pen-mirror-by') ?? '');
    return fetch(url, {
      method: 'POST', body, ...options,
      headers: { 'Content-Type': 'application/json', 'X-Bench': 'yes', 'X-Marks-By': by, ...headers(), ...extra },
    });
  }

  send(version, options = {}) {
    return this.post(this.data.save, JSON.stringify(this.marking.landmarks), { 'X-Marks-Version': String(version) }, options);
  }

  keepingHere() {
    const { draft } = this.keys();
    return new Keeping(Number(this.data.version), {
      send: async (version) => {
        const answer = await this.send(version);
        return { ok: answer.ok, status: answer.status, version: Number(answer.headers.get('X-Marks-Version')), text: await answer.text() };
      },
      after: (milliseconds, then) => setTimeout(then, milliseconds),
      cancel: (timer) => clearTimeout(timer),
      keepDraft: (version) => localStorage.setItem(draft, JSON.stringify({ version, landmarks: this.marking.landmarks })),
      dropDraft: () => localStorage.removeItem(draft),
      tell: (state, text) => this.tellKept(state, text),
    });
  }

  tellKept(state, text) {
    $('kept').textContent = { [State.SAVING]: this.data.saving, [State.SAVED]: this.data.saved, [State.UNSAVED]: this.data.unsaved }[state] ?? '';
    $('conflict').hidden = state !== State.CONFLICT;
    if (state === State.SAVED) {
      $('faults').replaceChildren();
      if (!this.grabbed) this.showReadings(text);
    } else if (text) {
      this.showFault(text);
    }
  }

  showFault(html) {
    $('faults').replaceChildren(...nodes(html).querySelectorAll('.fault'));
  }

  changed() {
    // A figure marked a second time stays out of everything that is kept of the first.
    if (this.marking.first) { this.preview(); return; }
    // Undo works on after the page was left and opened again in this sitting.
    sessionStorage.setItem(this.keys().sitting, JSON.stringify(this.marking.sitting()));
    this.keeping.changed();
  }

  // ---- changing ----------------------------------------------------------------------------------

  activate(key, speak = true) {
    this.marking.active = key;
    const place = this.marking.place(key);
    if (place) this.view = this.view.showing(place);
    this.draw();
    if (speak) this.sayActive();
  }

  goOn() {
    this.changed();
    this.activate(this.marking.nextOpen());
  }

  stay() {
    this.changed();
    this.draw();
  }

  /** Where the picture says the point belongs, if that is wanted and something is near. */
  snapped(point) {
    if (!this.on.snap) return point;
    const found = snap(this.image, point, SNAP_REACH * this.pixel());
    if (found.kind) this.say(fill(this.data.snap, document.querySelector('[data-switch="snap"]').dataset[found.kind]));
    return found;
  }

  place(point) {
    this.marking.placeActive(this.snapped(point));
    this.goOn();
  }

  confirm() {
    this.marking.confirm();
    this.goOn();
  }

  confirmAll() {
    this.marking.confirmAll();
    this.stay();
  }

  setState(state) {
    if (state === 'hidden') this.marking.toggleHidden(); else this.marking.toggleEstimated(this.pointer);
    this.changed();
    if (state === 'hidden' && this.marking.landmarks[this.marking.active]) this.activate(this.marking.nextOpen());
    else this.draw();
  }

  mirror() {
    if (!this.marking.mirrorActive()) return;
    this.changed();
    this.activate(this.marking.active);
  }

  remove() {
    if (this.marking.remove()) this.stay();
  }

  undo() {
    if (this.marking.undo()) this.stay();
  }

  redo() {
    if (this.marking.redo()) this.stay();
  }

  useTool(point) {
    if (!this.rim) {
      this.ruler.lay(this.snapped(point));
      this.draw();
      return;
    }
    this.rim.points.push(point);
    if (this.rim.points.length < 3) { this.draw(); return; }
    const { side, points } = this.rim;
    this.rim = null;
    if (this.marking.placeIris(side, points)) this.goOn(); else this.draw();
  }

  async propose() {
    const button = $('propose');
    const told = $('proposed');
    if (button.disabled) return;
    button.disabled = true;
    told.textContent = told.dataset.looking;
    try {
      const answer = await this.post(button.dataset.url, JSON.stringify(this.marking.known()));
      if (!answer.ok) throw new Error(String(answer.status));
      const { count, doubtful } = this.marking.propose((await answer.json()).landmarks);
      localStorage.setItem(this.keys().chances, JSON.stringify(this.marking.landmarks));
      told.textContent = count === 0 ? told.dataset.none : fill(told.dataset.found, count, doubtful);
      if (count > 0) this.changed();
      this.fitHeadIfSmall();
      this.toFirstProposal();
      this.draw();
    } catch {
      told.textContent = told.dataset.failed;
    } finally {
      button.disabled = false;
    }
  }

  toFirstProposal() {
    const { landmarks, order, active } = this.marking;
    if (landmarks[active]?.state === 'proposed') return;
    this.activate(order.find((key) => !landmarks[key]) ?? order.find((key) => landmarks[key].state === 'proposed') ?? active);
  }

  doubtful() {
    const key = this.marking.mostDoubtful();
    if (key) this.activate(key);
  }

  flip(name) {
    this.on[name] = !this.on[name];
    if (name === 'ruler') this.ruler.clear();
    this.marking.pairs = this.on.pairs;
    document.querySelector(`[data-switch="${name}"]`).setAttribute('aria-pressed', String(this.on[name]));
    this.draw();
  }

  // ---- what is asked for -------------------------------------------------------------------------

  askFor() {
    const { value, selectedOptions } = this.ask;
    this.marking.askFor(selectedOptions[0].dataset.landmarks.split(' '), SEQUENCES[this.sequence.value]);
    this.roll.arrange(this.marking);
    const group = this.groupAsked(value);
    if (group) this.showGroup(group);
    localStorage.setItem(this.keys().settings, JSON.stringify({ ask: value, sequence: this.sequence.value }));
  }

  groupAsked(value) {
    if (value === 'quick' || value === 'full') return null;
    const row = document.querySelector(`.rd[data-measure="${value}"]`);
    return row?.dataset.group ?? (value === 'head' || value === 'part' ? 'FACE' : null);
  }

  showGroup(name) {
    this.readings.group = name;
    for (const button of document.querySelectorAll('[data-group].btn')) button.setAttribute('aria-pressed', String(button.dataset.group === name));
    this.readings.place(this.view);
  }

  // ---- earlier markings, marking twice -----------------------------------------------------------

  async compare(button) {
    const history = document.querySelector('.history');
    const isOff = button.getAttribute('aria-pressed') === 'true';
    for (const other of history.querySelectorAll('button')) other.setAttribute('aria-pressed', String(other === button && !isOff));
    this.earlier = null;
    $('compared').textContent = '';
    if (!isOff) {
      const answer = await fetch(`${history.dataset.url}${button.dataset.version}.json`);
      if (!answer.ok) return;
      this.earlier = await answer.json();
      this.sayMoved($('compared'));
    }
    this.draw();
  }

  sayMoved(compared) {
    const away = [];
    const earlier = /** @type {!Object<string, !Object>} */ (this.earlier);
    for (const key of Object.keys(earlier)) {
      const then = earlier[key];
      const now = this.marking.place(key);
      if (then.x !== undefined && now) away.push(Math.hypot(then.x - now.x, then.y - now.y));
    }
    const moved = away.filter((distance) => distance > 0);
    const farthest = Math.max(0, ...moved).toFixed(1);
    compared.textContent = moved.length === 1 ? fill(compared.dataset.one, farthest) : fill(compared.dataset.text, moved.length, farthest);
  }

  showHistory(isShown) {
    for (const button of document.querySelectorAll('.history button')) {
      button.disabled = !isShown;
      button.setAttribute('aria-pressed', 'false');
    }
    $('compared').textContent = '';
  }

  async repeat(button) {
    if (!this.marking.first) {
      this.marking.beginUnseen();
      this.earlier = null;
      this.showHistory(false);
      button.textContent = button.dataset.on;
      $('repeat-outcome').replaceChildren();
      this.askFor();
      this.bench.focus();
    } else {
      const answer = await this.post(button.dataset.url, JSON.stringify(this.marking.landmarks));
      const text = await answer.text();
      if (!answer.ok) { this.showFault(text); return; }
      $('repeat-outcome').replaceChildren(...nodes(text).body.children);
      this.earlier = this.marking.endUnseen();
      this.showHistory(true);
      button.textContent = button.dataset.done;
    }
    this.draw();
    this.preview();
  }

  // ---- keys, pointers, buttons -------------------------------------------------------------------

  /** What a key does; nothing for one that does nothing here. */
  keyed(event) {
    const { marking } = this;
    const key = event.key.toLowerCase();
    const isHeld = event.ctrlKey || event.metaKey;
    const place = marking.place(marking.active);
    if (STEPS[event.key]) return () => this.step(STEPS[event.key], event.shiftKey ? 10 : event.altKey ? 0.25 : 1);
    if (event.key === 'Tab') return () => { marking.walk(event.shiftKey ? -1 : 1); this.activate(marking.active); };
    if (event.key === ' ' || (event.key === 'Enter' && !place)) return () => this.place(this.pointer);
    if (event.key === 'Enter') {
      return () => (marking.landmarks[marking.active].state === 'proposed' ? this.confirm() : this.activate(marking.nextOpen()));
    }
    if (event.key === 'Escape') return () => this.escape();
    if (event.key === 'Delete' || event.key === 'Backspace') return () => this.remove();
    if (event.key === '+' || event.key === '=') return () => this.zoom(1.4, place ?? this.pointer);
    if (event.key === '-' || event.key === '−') return () => this.zoom(1 / 1.4, place ?? this.pointer);
    if (event.key === '0') return () => this.fit();
    if (!lettersOn() && !isHeld) return null;
    if (key === 'y' || (key === 'z' && event.shiftKey)) return () => this.redo();
    if (key === 'z') return () => this.undo();
    if (isHeld || !lettersOn()) return null;
    return {
      u: () => this.setState('estimated'), n: () => this.setState('hidden'), p: () => this.propose(), a: () => this.confirmAll(),
      d: () => this.doubtful(), m: () => this.mirror(), s: () => this.flip('snap'), b: () => this.flip('pairs'),
      g: () => this.flip('guides'), r: () => this.flip('ruler'),
    }[key] ?? null;
  }

  step([dx, dy], by) {
    if (this.marking.nudge(dx * by, dy * by)) {
      this.changed();
    } else {
      const k = by * Math.max(1, this.pixel());
      this.pointer = this.marking.clamp({ x: this.pointer.x + dx * k, y: this.pointer.y + dy * k });
    }
    this.draw();
    const place = this.marking.place(this.marking.active);
    this.say(place ? `${place.x}, ${place.y}` : `${Math.round(this.pointer.x)}, ${Math.round(this.pointer.y)}`);
  }

  escape() {
    if (this.rim || this.on.ruler) {
      this.rim = null;
      this.ruler.clear();
      this.draw();
    } else {
      this.roll.buttons[this.marking.active].focus();
    }
  }

  pointing() {
    const { marking } = this;
    return {
      view: () => this.view,
      pixel: () => this.pixel(),
      begin: () => this.bench.focus({ preventScroll: true }),
      move: (place) => { this.pointer = place; },
      hover: () => { this.drawCursor(); this.drawLoupe(); },
      look: (view) => this.see(view),
      zoom: (factor, at) => this.zoom(factor, at),
      hasTool: () => this.on.ruler || this.rim !== null,
      useTool: (place) => this.useTool(place),
      grab: (place, reach, sure) => {
        const near = marking.near(place, reach * this.pixel())[0];
        if (!near || !(marking.landmarks[marking.active] || near.away <= sure * this.pixel())) return null;
        this.grabbed = { key: near.key, from: copied(marking.landmarks) };
        this.activate(near.key);
        return marking.place(near.key);
      },
      drag: (place) => {
        marking.putPair(this.grabbed.key, place);
        this.follow();
        this.preview();
      },
      drop: (moved) => this.drop(moved),
      tap: (place) => { if (!marking.landmarks[marking.active]) this.place(place); },
    };
  }

  drop(moved) {
    const { key, from } = this.grabbed;
    this.grabbed = null;
    if (moved) {
      if (this.on.snap) this.marking.putPair(key, this.snapped(this.marking.place(key)));
      this.marking.rememberAs(from, key);
      this.changed();
    } else if (this.marking.landmarks[key].state === 'proposed') {
      this.confirm();
    }
    this.draw();
  }

  /** A click that does something and leaves the keys with the bench. */
  click(element, does) {
    element.addEventListener('click', (event) => { does(event); this.bench.focus(); });
  }

  listen() {
    new Pointing(this.art, this.pointing());
    this.bench.addEventListener('keydown', (event) => {
      const does = this.keyed(event);
      if (!does) return;
      does();
      event.preventDefault();
    });
    for (const [key, button] of Object.entries(this.roll.buttons)) this.click(button, () => this.activate(key));
    const tools = {
      undo: () => this.undo(), redo: () => this.redo(), remove: () => this.remove(), mirror: () => this.mirror(),
      circle: () => { this.rim = { side: this.marking.active.split('_')[1], points: [] }; },
    };
    for (const button of document.querySelectorAll('[data-tool]')) {
      this.click(button, tools[button.dataset.tool] ?? (() => this.setState(button.dataset.tool)));
    }
    for (const button of document.querySelectorAll('[data-switch]')) this.click(button, () => this.flip(button.dataset.switch));
    for (const button of document.querySelectorAll('[data-group].btn')) button.addEventListener('click', () => this.showGroup(button.dataset.group));
    for (const button of document.querySelectorAll('[data-zoom]')) button.addEventListener('click', () => this.zoomBy(button.dataset.zoom));
    this.click($('propose'), () => this.propose());
    this.click($('confirm'), () => this.confirmAll());
    for (const select of [this.ask, this.sequence]) {
      select.addEventListener('change', () => { this.askFor(); this.draw(); this.bench.focus(); });
    }
    $('conflict').addEventListener('click', (event) => this.settle(event.target.dataset.conflict));
    document.querySelector('.history').addEventListener('click', (event) => {
      const button = event.target.closest('button[data-version]');
      if (button) this.compare(button);
    });
    $('by').value = localStorage.getItem('pen-mirror-by') ?? '';
    $('by').addEventListener('change', () => localStorage.setItem('pen-mirror-by', $('by').value.trim()));
    $('repeat').addEventListener('click', () => this.repeat($('repeat')));
    $('readings-slot').addEventListener('click', (event) => this.toLandmark(event.target.closest('.rd')));
    // Leaving the page sends what is still waiting; the draft stays until it is known to have arrived.
    window.addEventListener('pagehide', () => {
      if (this.keeping.isOwing()) this.send(this.keeping.version, { keepalive: true }).catch(() => {});
    });
    document.body.addEventListener('htmx:afterSwap', () => this.readings.place(this.view));
  }

  settle(choice) {
    if (choice === 'theirs') {
      this.keeping.keepTheirs();
      window.location.reload();
    } else if (choice === 'mine') {
      this.keeping.keepMine();
    }
  }

  zoomBy(way) {
    if (way === 'fit') this.fit();
    else if (way === 'head') this.fitHead();
    else this.zoom(way === 'in' ? 1.4 : 1 / 1.4, this.view.middle());
  }

  /** From a reading to the first of its points that is not at hand. */
  toLandmark(row) {
    const { marking } = this;
    const key = row?.dataset.landmarks.split(' ').find((k) => marking.order.includes(k) && (!marking.landmarks[k] || k !== marking.active));
    if (!key) return;
    this.activate(key);
    this.bench.focus();
  }

  // ---- beginning ---------------------------------------------------------------------------------

  showPicture() {
    const { width, height } = this.marking.picture;
    for (const id of ['picture', 'loupe-picture']) {
      $(id).setAttribute('href', this.data.picture);
      $(id).setAttribute('width', width);
      $(id).setAttribute('height', height);
    }
    this.image.src = this.data.picture;
  }

  resume() {
    const { settings, chances, sitting, draft } = this.keys();
    const before = stored(localStorage, settings, '{}');
    if ([...this.ask.options].some((option) => option.value === before.ask)) this.ask.value = before.ask;
    if (SEQUENCES[before.sequence]) this.sequence.value = before.sequence;
    this.marking.takeChances(stored(localStorage, chances, '{}'));
    const steps = stored(sessionStorage, sitting, 'null');
    if (steps) this.marking.resume(steps);
    this.askFor();
    this.guessing.cover();
    this.readDoubts();
    this.resumeDraft(stored(localStorage, draft, 'null'));
    this.openWithProposals();
    new ResizeObserver(() => this.fit()).observe(this.art);
    this.fit();
    this.bench.focus({ preventScroll: true });
  }

  /** What was seen at first sight stands as the bench opens, unless somebody would rather begin bare. */
  openWithProposals() {
    const atOnce = $('at-once');
    atOnce.checked = localStorage.getItem('pen-mirror-proposals') !== 'off';
    atOnce.addEventListener('change', () => localStorage.setItem('pen-mirror-proposals', atOnce.checked ? 'on' : 'off'));
    if (!this.data.proposal || !atOnce.checked || Object.keys(this.marking.landmarks).length) return;
    const { count, doubtful } = this.marking.propose(JSON.parse(this.data.proposal).landmarks);
    if (count === 0) return;
    $('proposed').textContent = fill($('proposed').dataset.found, count, doubtful);
    this.preview();
    this.toFirstProposal();
  }

  /** Points that could not be sent before the page was closed come back. */
  resumeDraft(draft) {
    if (draft && JSON.stringify(draft.landmarks) !== JSON.stringify(this.marking.landmarks)) {
      this.marking.landmarks = draft.landmarks;
      this.keeping.version = draft.version;
      this.marking.active = this.marking.firstOpen();
      this.changed();
      return;
    }
    if (draft) $('kept').textContent = this.data.saved;
    this.keeping.keepTheirs();
  }
}

/** Runs again once when it was asked for while it ran; what goes wrong is told by the save that follows. */
const onceAtATime = (run) => {
  let isRunning = false;
  let isWanted = false;
  const go = async () => {
    if (isRunning) { isWanted = true; return; }
    isRunning = true;
    await run().catch(() => {});
    isRunning = false;
    if (isWanted) { isWanted = false; go(); }
  };
  return go;
};

if ($('bench')) new Bench($('bench'));
