import { drawEarlier, drawGuides, drawRollSymbol, drawRuler, symbol } from '../measure/drawing.js';
import { Marking } from '../measure/marking.js';
import { Readings, spread } from '../measure/readings.js';
import { Ruler } from '../measure/ruler.js';
import { snap } from '../measure/snap.js';
import { make } from '../layout/svg.js';
import { equal, holds, near, test } from '../checks.js';

const ROW = 27;

test('the ruler tells its last stretch and the angle at its middle, and begins anew after three', () => {
  const ruler = new Ruler();
  equal([ruler.length(), ruler.angle()], [null, null]);
  ruler.lay({ x: 0, y: 0 });
  ruler.lay({ x: 3, y: 4 });
  equal([ruler.length(), ruler.angle()], [5, null]);
  ruler.lay({ x: 3, y: 0 });
  equal(ruler.length(), 4);
  near(ruler.angle(), 36.87, 0.01);
  ruler.lay({ x: 9, y: 9 });
  equal(ruler.points.length, 1);
});

test('an angle is told the short way round', () => {
  const ruler = new Ruler();
  for (const degrees of [170, 0, -170]) {
    ruler.lay(degrees === 0 ? { x: 0, y: 0 } : { x: Math.cos(degrees * Math.PI / 180), y: Math.sin(degrees * Math.PI / 180) });
  }
  near(ruler.angle(), 20, 1e-6);
});

test('rows hang at their height, and never over each other or out of the room', () => {
  equal(spread([100, 300], 400), [100 - ROW / 2, 300 - ROW / 2]);
  const close = spread([50, 51, 52, 395, 396], 400);
  for (let i = 1; i < close.length; i++) holds(close[i] >= close[i - 1] + ROW, `row ${i} lies over the one before`);
  holds(close.at(-1) <= 400 - ROW, 'the last row is out of the room');
  equal(spread([], 100), []);
});

const head = () => new Marking({ width: 400, height: 900 }, {
  crown: { x: 200, y: 100, state: 'placed' }, chin: { x: 200, y: 300, state: 'placed' }, sole: { x: 200, y: 710, state: 'placed' },
}, { crown: 'crown', chin: 'chin', sole: 'sole', eye_l_outer: 'eye_l_outer', eye_l_inner: 'eye_l_inner' });

test('the head grid has one line a head, down to the soles', () => {
  const group = make('g');
  drawGuides(group, head(), 1);
  equal([...group.querySelectorAll('text')].map((text) => text.textContent), ['0', '1', '2', '3']);
});

test('without a head there are no guides', () => {
  const group = make('g');
  make('path', {}, group);
  drawGuides(group, new Marking({ width: 1, height: 1 }, {}, { crown: 'crown' }), 1);
  equal(group.childElementCount, 0);
});

test('eye widths are laid across the face once both corners stand', () => {
  const group = make('g');
  const marking = head();
  drawGuides(group, marking, 1);
  const without = group.querySelectorAll('.guide').length;
  marking.put('eye_l_outer', { x: 150, y: 200 });
  marking.put('eye_l_inner', { x: 180, y: 200 });
  drawGuides(group, marking, 1);
  // The eye line, and six strokes of the ruler.
  equal(group.querySelectorAll('.guide').length, without + 7);
});

test('a doubtful proposal carries a question mark, one that the server doubts a ring', () => {
  const drawn = symbol('crown', { x: 1, y: 2, state: 'proposed', confidence: 0.3 }, { active: false, doubted: true, pixel: 2 });
  equal(drawn.querySelector('.confidence').textContent, '?');
  holds(drawn.querySelector('.doubted'), 'no ring');
  equal(drawn.getAttribute('transform'), 'translate(1 2) scale(2)');
  const sure = symbol('crown', { x: 1, y: 2, state: 'placed' }, { active: false, doubted: false, pixel: 2 });
  equal(sure.querySelector('.confidence, .doubted'), null);
});

test('the roll shows what is not placed, hidden, judged and at hand each in its way', () => {
  const svg = make('svg');
  const drawnAs = (mark, active = false) => { drawRollSymbol(svg, mark, active); return svg.innerHTML; };
  const all = [drawnAs(undefined), drawnAs({ state: 'hidden' }), drawnAs({ state: 'estimated' }), drawnAs({ state: 'placed' }), drawnAs(undefined, true)];
  equal(new Set(all).size, all.length);
});

test('an earlier marking shows only what has moved since', () => {
  const group = make('g');
  drawEarlier(group, head(), { crown: { x: 200, y: 100 }, chin: { x: 210, y: 300 }, eye_l_outer: { x: 5, y: 5 } }, 1);
  equal(group.querySelectorAll('circle').length, 2);
  equal(group.querySelectorAll('path').length, 1);
  drawEarlier(group, head(), null, 1);
  equal(group.childElementCount, 0);
});

test('the ruler is drawn as it is laid', () => {
  const group = make('g');
  drawRuler(group, [{ x: 1, y: 2 }, { x: 3, y: 4 }], 1);
  equal(group.querySelector('.rule-line').getAttribute('d'), 'M1 2L3 4');
});

const block = () => {
  const slot = document.createElement('div');
  slot.innerHTML = '<div id="readings" data-head="head 200"><ul class="doubts"><li data-landmark="chin"> lies above </li></ul>'
    + '<div class="rows"><div class="rd" data-measure="stature" data-anchor="10" data-group="PROPORTION"><b>4.0</b>'
    + '<svg><path class="tick" d="M5 2V20"/></svg></div><div class="rd waits" data-measure="neck" data-group="PROPORTION"><b></b></div></div></div>';
  return slot;
};
const moving = (measure, more = {}) => ({ measure, value: '5.1', anchor: 44, misses: true, x: '70.0', edgeX: '60.0', ...more });

test('moving values are put into the rows that stand', () => {
  const slot = block();
  const readings = new Readings(slot, slot, () => true);
  equal(readings.follow([moving('stature')]), true);
  const row = slot.querySelector('.rd');
  equal([row.querySelector('b').textContent, row.dataset.anchor, row.className], ['5.1', '44', 'rd off']);
  equal(row.querySelector('.gap').getAttribute('d'), 'M60.0 11H70.0');
  equal(readings.follow([moving('stature', { misses: false })]), true);
  equal([row.querySelector('.gap'), row.className], [null, 'rd']);
  equal(readings.doubts(), { chin: 'lies above' });
});

test('a row that comes or goes takes the whole block', () => {
  const readings = new Readings(block(), document.body, () => true);
  equal(readings.follow([]), false);
  equal(readings.follow([moving('stature'), moving('neck')]), false);
});

test('one reading stands for its act until every one is asked for', () => {
  const slot = document.createElement('div');
  slot.innerHTML = '<div id="readings"><button data-every aria-pressed="false">every</button><div class="rows">'
    + '<div class="rd" data-measure="neck.width" data-group="PROPORTION" data-anchor="10"></div>'
    + '<div class="rd" data-measure="neck.length" data-group="PROPORTION" data-anchor="20" data-leads=""></div>'
    + '<div class="rd" data-measure="eye.line" data-group="FACE" data-anchor="5" data-leads=""></div></div></div>';
  document.body.append(slot);
  const readings = new Readings(slot, document.body, () => true);
  const shown = () => [...slot.querySelectorAll('.rd:not([hidden])')].map((row) => row.dataset.measure);
  readings.place({ x: 0, y: 0, width: 100, height: 100 });
  equal(shown(), ['neck.length']);
  slot.querySelector('button').click();
  equal(shown(), ['neck.width', 'neck.length']);
  equal(slot.querySelector('button').getAttribute('aria-pressed'), 'true');
  slot.querySelector('button').click();
  equal(shown(), ['neck.length']);
  slot.remove();
});

test('a point near a dark line goes onto its middle, one on plain paper stays', async () => {
  const canvas = document.createElement('canvas');
  canvas.width = 80;
  canvas.height = 80;
  const context = canvas.getContext('2d');
  context.fillStyle = '#fff';
  context.fillRect(0, 0, 80, 80);
  context.fillStyle = '#111';
  context.fillRect(40, 0, 3, 80);
  const image = new Image();
  image.src = canvas.toDataURL();
  await image.decode();
  const found = snap(image, { x: 37, y: 40 }, 9);
  equal(found.kind, 'line');
  near(found.x, 41.5, 0.6);
  equal(snap(image, { x: 12, y: 12 }, 5), { x: 12, y: 12, kind: '' });
});
