// Looking through: the page round a round of works. Keys and buttons do the same; a point may be
// dragged by mouse, finger or pen.

import { fill, headers, lettersOn, typing } from '../layout/studio.js';
import { make } from '../layout/svg.js';
import { showExample } from '../measure/example.js';
import { Card, headBox, isSure, Round, said } from './round.js';

const $ = (id) => document.getElementById(id);
const work = $('work');
const words = $('words');
const SIZE = 1920;
const STEPS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
const REACH = 22;
const MOST_NEXT = 4;
/** Beside the head seen large these would lie on each other in the whole figure. */
const IN_THE_FACE = /^(eye|nose|mouth|brow|iris|pupil|lash|hairline|cheek|jaw|ear)/;
const AGAIN = 1500;

let round = new Round([]);
let isSending = false;
let timer = 0;

const spoken = (kind, value) =>
  (value === null || value === undefined ? words.querySelector('[data-unsaid]') : words.querySelector(`[data-${kind}="${value}"]`));
const word = (kind, value) => spoken(kind, value)?.textContent ?? '';
const within = (text) => text.charAt(0).toLowerCase() + text.slice(1);
const picture = (card, side) => `/pictures/${card.picture}/${side}`;
const addressOf = (card, rest) => `${work.dataset.works}/${card.id}/${rest}`;

const tell = (text) => {
  $('fault').textContent = text;
  $('fault').hidden = text === '';
};

// ---- drawing ---------------------------------------------------------------------------------------

const points = (svg, card, pixel, filter) => {
  const group = svg.querySelector('g');
  group.replaceChildren();
  const active = round.point();
  for (const [key, at] of Object.entries(card.points)) {
    if (!filter(key) || round.hidden.has(key)) continue;
    const mark = make('g', { class: `point${key === active ? ' active' : ''}${card.doubts.includes(key) && at.chance < 1 ? ' doubt' : ''}`, transform: `translate(${at.x} ${at.y}) scale(${pixel})`, 'data-key': key }, group);
    make('path', { class: 'halo', d: 'M-3.5 -6A7 7 0 0 0 -3.5 6M3.5 -6A7 7 0 0 1 3.5 6' }, mark);
    make('path', { class: 'jaws', d: 'M-3.5 -6A7 7 0 0 0 -3.5 6M3.5 -6A7 7 0 0 1 3.5 6' }, mark);
    make('circle', { class: 'dot', r: 1.6 }, mark);
    if (key === active) {
      make('path', { class: 'halo', d: 'M-22 0H-5M5 0H22M0 -22V-5M0 5V22' }, mark);
      make('path', { class: 'jaws', d: 'M-22 0H-4M4 0H22M0 -22V-4M0 4V22' }, mark);
    }
  }
};

const show = (svg, card, box, side) => {
  const image = svg.querySelector('image');
  const href = picture(card, side);
  if (image.getAttribute('href') !== href) image.setAttribute('href', href);
  image.setAttribute('width', card.width);
  image.setAttribute('height', card.height);
  svg.setAttribute('viewBox', `${box.x} ${box.y} ${box.width} ${box.height}`);
  return Math.max(box.width / Math.max(1, svg.clientWidth), box.height / Math.max(1, svg.clientHeight));
};

const drawCard = () => {
  const { card } = round;
  $('card').hidden = card === null;
  if (!card) document.querySelector('.about').hidden = true;
  if (!card) return;
  const whole = { x: 0, y: 0, width: card.width, height: card.height };
  const head = headBox(card);
  const active = round.point();
  const at = active ? card.points[active] : null;
  const isInHead = !at || !head || (at.x > head.x && at.x < head.x + head.width && at.y > head.y && at.y < head.y + head.height);
  // A point of the body is seen as close as the head is.
  const near = head && at && !isInHead
    ? { x: at.x - head.width / 2, y: at.y - head.height / 2, width: head.width, height: head.height }
    : head ?? whole;
  const isWhole = near === whole || head.width > 0.8 * Math.min(card.width, card.height);
  $('card').classList.toggle('one', isWhole);
  const face = isWhole ? whole : near;
  points($('face'), card, show($('face'), card, face, SIZE), () => true);
  if (!isWhole) points($('figure'), card, show($('figure'), card, whole, 960), (key) => key === active || !IN_THE_FACE.test(key));
};

const drawQuestion = () => {
  const question = round.question();
  const { card } = round;
  if (!card || !question) return;
  const title = $('question');
  const name = question.kind === 'point' ? within(words.querySelector(`[data-landmark="${question.key}"]`).textContent) : '';
  title.textContent = {
    point: () => fill(title.dataset.point, name),
    view: () => spoken('view', card.view)?.dataset.asks ?? '',
    framing: () => spoken('framing', card.framing)?.dataset.asks ?? '',
    all: () => title.dataset.right,
  }[question.kind]();
  $('asked').textContent = question.kind === 'point' ? words.querySelector(`[data-landmark="${question.key}"]`).textContent : $('asked').dataset.all;
  $('doubts').textContent = question.kind === 'all' ? '' : fill($('doubts').dataset.text, round.at + 1, round.asked.length);
  document.querySelector('[data-do="hidden"]').disabled = question.kind !== 'point';
  document.querySelector('.hint').classList.toggle('off', question.kind !== 'point');
  if (question.kind === 'point') {
    $('help').textContent = words.querySelector(`[data-landmark="${question.key}"]`).dataset.help;
    showExample($('example'), question.key);
  }
  document.querySelector('.about').hidden = question.kind !== 'point';
  $('help').hidden = question.kind !== 'point';
  $('name').textContent = `${card.number} ${card.title}`;
  drawSeveral(card);
  for (const kind of ['view', 'framing', 'mood', 'light']) {
    document.querySelector(`[data-turn="${kind}"] em`).textContent = word(kind, card[kind]);
  }
};

/** A picture of several people: which of them is meant, or all. */
const drawSeveral = (card) => {
  const form = $('several');
  form.hidden = card.figures < 2;
  form.action = addressOf(card, 'figures/each');
  form.querySelector('a').href = addressOf(card, 'look');
  const text = form.querySelector('p');
  text.textContent = fill(text.dataset.text, card.figures);
};

const asks = (card) => [
  ...(card.figures > 1 ? [$('list').dataset.figures] : []),
  ...card.asks.map((kind) => $('list').dataset[kind]),
  ...card.doubts.map((key) => words.querySelector(`[data-landmark="${key}"]`).textContent),
].map(within).slice(0, 2).join(', ');

const drawList = () => {
  const item = (card, state, text) => {
    const li = document.createElement('li');
    li.className = state;
    const button = document.createElement(state === 'done' ? 'a' : 'button');
    if (state === 'done') button.href = addressOf(card, 'measure');
    else { button.type = 'button'; button.onclick = () => { round.open(card.id); draw(); }; }
    const name = document.createElement('span');
    const more = document.createElement('em');
    name.textContent = `${card.number} ${card.title}`;
    more.textContent = text;
    button.append(name, more);
    li.append(button);
    return li;
  };
  $('list').replaceChildren(
    ...[...round.done.values()].slice(-4).map((card) => item(card, 'done', $('list').dataset.done)),
    ...round.cards.map((card) => item(card, card === round.card ? 'now' : isSure(card) ? 'sure' : 'doubt', isSure(card) ? $('list').dataset.sure : asks(card))),
  );
  $('list').querySelector('.now')?.scrollIntoView({ block: 'nearest' });
  const all = Number(work.dataset.of);
  $('far').textContent = fill($('far').dataset.text, all - round.cards.length, all);
};

const thumb = (card) => {
  const button = document.createElement('button');
  button.type = 'button';
  button.className = 'thumb';
  button.dataset.id = String(card.id);
  button.setAttribute('aria-label', `${card.number} ${card.title}`);
  const box = headBox(card) ?? { x: 0, y: 0, width: card.width, height: card.height };
  const svg = make('svg', { viewBox: `${box.x} ${box.y} ${box.width} ${box.height}`, preserveAspectRatio: 'xMidYMid slice' }, button);
  make('image', { href: picture(card, 960), width: card.width, height: card.height }, svg);
  for (const at of Object.values(card.points)) make('circle', { class: 'dot', cx: at.x, cy: at.y, r: box.width / 60 }, svg);
  const caption = document.createElement('span');
  caption.textContent = `${card.number} ${isSure(card) ? `${word('view', card.view)}, ${word('framing', card.framing)}` : `${asks(card)}?`}`;
  button.append(caption);
  button.onclick = () => { round.open(card.id); draw(); };
  return button;
};

/** Works of which nothing is asked and which are on the screen: only these are taken at once. */
const shownSure = () => {
  const frame = work.getBoundingClientRect();
  return [...$('sure').children].filter((button) => {
    const box = button.getBoundingClientRect();
    return box.top >= frame.top - 1 && box.bottom <= frame.bottom + 1 && box.left >= frame.left && box.right <= frame.right + 1;
  }).map((button) => Number(button.dataset.id));
};

const drawThen = () => {
  const next = round.doubted().slice(0, MOST_NEXT);
  const sure = round.sure().slice(0, MOST_NEXT);
  $('next').replaceChildren(...next.map(thumb));
  $('sure').replaceChildren(...sure.map(thumb));
  $('then').hidden = next.length + sure.length === 0;
  $('next').parentElement.hidden = next.length === 0;
  $('sure-part').hidden = sure.length === 0;
  $('sure-title').textContent = fill($('sure-title').dataset.text, shownSure().length, round.sure().length);
};

/** A work is done with. */
const finish = (card) => {
  round.finish(card.id);
  waits -= 1;
};

const draw = () => {
  drawThen();
  drawCard();
  drawQuestion();
  drawList();
  $('none').hidden = round.card !== null || waits > 0;
  $('looking').hidden = round.card !== null || waits <= 0;
};

// ---- what is known by the server -------------------------------------------------------------------

/** Works that wait, also those that the machine has yet to look at. */
let waits = Number(work.dataset.waits);

const refresh = async () => {
  const [cards, page] = await Promise.all([
    fetch(work.dataset.cards, { headers: { Accept: 'application/json' } }),
    fetch(window.location.href, { headers: { Accept: 'text/html' } }),
  ]);
  if (!cards.ok || !page.ok) throw new Error(String(cards.status));
  const now = new DOMParser().parseFromString(await page.text(), 'text/html');
  $('answers').replaceChildren(...now.getElementById('answers').childNodes);
  $('done-count').textContent = now.getElementById('done-count').textContent;
  const fresh = await cards.json();
  round.renew(fresh);
  waits = Number(now.getElementById('work').dataset.waits);
  draw();
};

const later = () => {
  clearTimeout(timer);
  timer = setTimeout(async () => {
    await refresh().catch(() => {});
    if (!round.card && waits > 0) later();
  }, AGAIN);
};

/**
 * @param {!Card} card
 * @param {!Set<string>} hidden
 * @return {!Promise<boolean>} whether it is kept, or was said in another window
 */
const take = async (card, hidden) => {
  const answer = await fetch(addressOf(card, 'looked-at'), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Accept: 'application/json', ...headers() },
    body: JSON.stringify(said(card, hidden)),
  });
  if (answer.ok) { tell(''); return true; }
  if (answer.status === 409) { tell(words.dataset.fault); return true; }
  throw new Error(String(answer.status));
};

const keep = async (cards) => {
  if (isSending) return;
  isSending = true;
  try {
    for (const [card, hidden] of cards) {
      if (await take(card, hidden)) finish(card);
      draw();
    }
    later();
  } catch {
    tell($('fault').dataset.lost);
  } finally {
    isSending = false;
  }
};

// ---- what somebody does ----------------------------------------------------------------------------

const right = () => {
  if (!round.card || isSending) return;
  if (round.right()) keep([[round.card, round.hidden]]);
  else draw();
};

const hide = () => {
  if (!round.card || isSending || !round.point()) return;
  if (round.hide()) keep([[round.card, round.hidden]]);
  else draw();
};

const takeShown = () => {
  const ids = shownSure();
  keep(round.cards.filter((card) => ids.includes(card.id)).map((card) => [card, new Set()]));
};

const leave = async () => {
  const { card } = round;
  if (!card || isSending) return;
  isSending = true;
  try {
    const answer = await fetch(addressOf(card, 'left-out'), {
      method: 'POST', headers: { ...headers() }, body: new URLSearchParams({ leftOut: 'true' }),
    });
    if (!answer.ok) throw new Error(String(answer.status));
    tell('');
    finish(card);
    draw();
    later();
  } catch {
    tell($('fault').dataset.lost);
  } finally {
    isSending = false;
  }
};

/** The next of a few words; another side or framing is looked at anew. */
const turn = async (kind) => {
  const { card } = round;
  if (!card) return;
  const all = [...words.querySelectorAll(`[data-${kind}]`)].map((span) => span.dataset[kind]);
  const values = kind === 'view' ? all : [...all, null];
  const now = card[kind] === null ? null : String(card[kind]);
  const next = values[(values.indexOf(now) + 1) % values.length];
  card[kind] = kind === 'light' && next !== null ? Number(next) : next;
  draw();
  if (kind !== 'view' && kind !== 'framing') return;
  const about = new URLSearchParams({ view: card.view, framing: card.framing ?? '' });
  const answer = await fetch(`${addressOf(card, 'through.json')}?${about}`, { headers: { Accept: 'application/json' } });
  if (!answer.ok || round.card !== card) return;
  const fresh = await answer.json();
  if (card.view !== fresh.view || card.framing !== fresh.framing) return; // Turned on meanwhile.
  const { points: found, taken, doubts } = fresh;
  Object.assign(card, { points: found, taken, doubts, asks: [] });
  round.open(card.id);
  draw();
};

const does = {
  right, hidden: hide, all: takeShown, leave,
  bench: () => { if (round.card) window.location.href = addressOf(round.card, 'measure'); },
};
/** Clicked by hand, a button gives the keys back to the picture, or Enter would press it once more. */
const onClick = (button, act) => button.addEventListener('click', (event) => {
  if (event.detail > 0) $('face').focus({ preventScroll: true });
  act();
});
document.querySelectorAll('[data-do]').forEach((button) => onClick(button, () => does[button.dataset.do]()));
document.querySelectorAll('[data-turn]').forEach((button) => onClick(button, () => turn(button.dataset.turn)));

const placeOn = (svg, event) => {
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
  return { x: at.x, y: at.y };
};
let drag = null;
for (const svg of [$('face'), $('figure')]) {
  svg.addEventListener('pointerdown', (event) => {
    const { card } = round;
    if (!card || event.button > 0) return;
    const at = placeOn(svg, event);
    const pixel = 1 / svg.getScreenCTM().a;
    const near = Object.entries(card.points)
      .map(([key, p]) => ({ key, away: Math.hypot(p.x - at.x, p.y - at.y) / pixel }))
      .filter((p) => p.away < REACH && !round.hidden.has(p.key))
      .sort((a, b) => a.away - b.away)[0];
    if (near) {
      round.ask(near.key);
      drag = { svg, key: near.key, isNew: true, id: event.pointerId };
    } else if (round.point()) {
      // A tap where the point belongs brings it there.
      round.place(round.point(), at.x, at.y);
    }
    event.preventDefault();
    draw();
  });
  svg.addEventListener('pointermove', (event) => {
    if (!drag || drag.svg !== svg || event.pointerId !== drag.id) return;
    svg.setPointerCapture(event.pointerId);
    const at = placeOn(svg, event);
    round.place(drag.key, at.x, at.y, drag.isNew);
    drag.isNew = false;
    drawCard();
  });
  const end = () => { drag = null; };
  svg.addEventListener('pointerup', end);
  svg.addEventListener('pointercancel', end);
}

document.addEventListener('keydown', (event) => {
  if (typing(event)) return;
  const step = STEPS[event.key];
  const letter = lettersOn() ? event.key.toLowerCase() : '';
  const isOnButton = event.target.closest('button, a') !== null;
  if (step) {
    if (!round.point()) return;
    const far = event.shiftKey ? 10 : 1;
    round.nudge(step[0] * far, step[1] * far);
    drawCard();
  } else if (event.key === 'Enter' && !isOnButton) {
    right();
  } else if (event.key === 'Tab' && event.target === $('face') && round.asked.length > 1 &&
    (event.shiftKey ? round.at > 0 : round.at < round.asked.length - 1)) {
    round.go(event.shiftKey ? -1 : 1);
    draw();
  } else if (letter === 'n') hide();
  else if (letter === 'a') takeShown();
  else if (letter === 'x') leave();
  else if (letter === 'e') does.bench();
  else if (letter === 'v') turn('view');
  else if (letter === 'f') turn('framing');
  else if (letter === 'm') turn('mood');
  else if (letter === 'l') turn('light');
  else if (letter === 'z') { if (round.undo()) draw(); }
  else if (letter === 'j') { round.other(1); draw(); }
  else if (letter === 'k') { round.other(-1); draw(); }
  else return;
  event.preventDefault();
});

new ResizeObserver(() => drawCard()).observe(work);
refresh().then(() => { if (!round.card && waits > 0) later(); $('face').focus({ preventScroll: true }); }, () => tell($('fault').dataset.lost));
