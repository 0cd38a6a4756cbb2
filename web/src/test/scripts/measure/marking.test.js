import { Marking } from '../measure/marking.js';
import { equal, holds, near, test } from '../checks.js';

const MIRRORED = {
  crown: 'crown', chin: 'chin', eye_l_outer: 'eye_r_outer', eye_r_outer: 'eye_l_outer',
  iris_l_centre: 'iris_r_centre', iris_l_edge: 'iris_r_edge', iris_l_top: 'iris_r_top', sole: 'sole',
};
const marking = (landmarks = {}) => new Marking({ width: 400, height: 600 }, landmarks, MIRRORED);
const headed = () => marking({
  crown: { x: 200, y: 100, state: 'placed' }, chin: { x: 200, y: 300, state: 'placed' },
});

test('a place is kept on the picture, to quarters of a pixel', () => {
  const m = marking();
  m.put('crown', { x: 401.3, y: -5 });
  equal(m.landmarks.crown, { x: 400, y: 0, state: 'placed' });
  m.put('chin', { x: 10.13, y: 20.88 });
  equal(m.place('chin'), { x: 10.25, y: 21 });
});

test('a proposed point that somebody moved is no proposal any more; a judged one stays judged', () => {
  const m = marking({ crown: { x: 1, y: 1, state: 'proposed', confidence: 0.4 }, chin: { x: 1, y: 9, state: 'estimated' } });
  m.put('crown', { x: 2, y: 2 });
  m.put('chin', { x: 2, y: 12 });
  equal(m.landmarks.crown.state, 'placed');
  equal(m.landmarks.crown.confidence, undefined);
  equal(m.landmarks.chin.state, 'estimated');
});

test('with pairs the other side moves in a mirror about the head, also a tilted one', () => {
  const m = marking({ crown: { x: 100, y: 100, state: 'placed' }, chin: { x: 160, y: 180, state: 'placed' } });
  m.pairs = true;
  m.putPair('eye_l_outer', { x: 150, y: 100 });
  const [left, right] = [m.place('eye_l_outer'), m.place('eye_r_outer')];
  const { crown, down } = m.head();
  const along = (p) => (p.x - crown.x) * down.x + (p.y - crown.y) * down.y;
  const away = (p) => (p.x - crown.x) * down.y - (p.y - crown.y) * down.x;
  near(along(left), along(right), 0.3);
  near(away(left), -away(right), 0.3);
});

test('without a head nothing is mirrored, and crown on chin is no head', () => {
  const m = marking({ crown: { x: 5, y: 5, state: 'placed' }, chin: { x: 6, y: 6, state: 'placed' } });
  equal(m.head(), null);
  equal(m.acrossTheAxis({ x: 1, y: 2 }), null);
  m.active = 'eye_l_outer';
  equal(m.mirrorActive(), false);
  equal(m.undoSteps.length, 0);
});

test('mirroring twice is the same place', () => {
  const m = headed();
  const there = m.acrossTheAxis(m.acrossTheAxis({ x: 123, y: 45 }));
  near(there.x, 123, 1e-9);
  near(there.y, 45, 1e-9);
});

test('every change can be taken back, and done again, exactly', () => {
  const m = headed();
  const before = structuredClone(m.landmarks);
  m.active = 'eye_l_outer';
  m.placeActive({ x: 150, y: 180 });
  m.nudge(1, 0);
  m.toggleEstimated({ x: 0, y: 0 });
  m.mirrorActive();
  m.remove();
  const after = structuredClone(m.landmarks);
  while (m.undo());
  equal(m.landmarks, before);
  equal(m.active, 'eye_l_outer');
  while (m.redo());
  equal(m.landmarks, after);
});

test('a new change ends what could be done again', () => {
  const m = headed();
  m.active = 'sole';
  m.placeActive({ x: 200, y: 580 });
  m.undo();
  m.placeActive({ x: 210, y: 570 });
  equal(m.redo(), false);
  equal(m.place('sole'), { x: 210, y: 570 });
});

test('steps that are remembered do not share what is changed later', () => {
  const m = headed();
  m.active = 'crown';
  m.nudge(5, 5);
  m.landmarks.crown.x = 0;
  m.undo();
  equal(m.place('crown'), { x: 200, y: 100 });
});

test('only so many steps are remembered', () => {
  const m = headed();
  m.active = 'crown';
  for (let i = 0; i < 600; i++) m.nudge(0.25, 0);
  equal(m.undoSteps.length, 500);
  equal(m.sitting().undo.length, 60);
});

test('marking a second time shows nothing of the first, and no key brings it back', () => {
  const m = headed();
  m.active = 'crown';
  m.nudge(3, 0);
  m.undo();
  const first = structuredClone(m.landmarks);
  m.beginUnseen();
  equal(m.landmarks, {});
  equal(m.undo(), false);
  equal(m.redo(), false);
  m.placeActive({ x: 20, y: 30 });
  const second = m.endUnseen();
  equal(Object.keys(second), ['crown']);
  equal(m.landmarks, first);
  equal(m.redo(), true);
  equal(m.place('crown'), { x: 203, y: 100 });
});

test('points are asked in order, those of the sequence first, and open ones round the end', () => {
  const m = headed();
  m.askFor(['crown', 'chin', 'eye_l_outer', 'eye_r_outer'], /^eye/);
  equal(m.order, ['eye_l_outer', 'eye_r_outer', 'crown', 'chin']);
  equal(m.active, 'eye_l_outer');
  m.active = 'eye_r_outer';
  equal(m.nextOpen(), 'eye_l_outer');
  m.put('eye_l_outer', { x: 1, y: 1 });
  m.put('eye_r_outer', { x: 2, y: 1 });
  equal(m.nextOpen(), 'crown');
  m.walk(-1);
  equal(m.active, 'eye_l_outer');
  m.walk(-1);
  equal(m.active, 'chin');
});

test('proposals never cover what a hand placed, and go when new ones come', () => {
  const m = headed();
  m.landmarks.sole = { x: 1, y: 1, state: 'proposed', confidence: 0.9 };
  const { count, doubtful } = m.propose({
    crown: { x: 0, y: 0, state: 'proposed', confidence: 0.9 },
    eye_l_outer: { x: 150.1, y: 190, state: 'proposed', confidence: 0.3 },
  });
  equal([count, doubtful], [1, 1]);
  equal(m.place('crown'), { x: 200, y: 100 });
  equal(m.landmarks.sole, undefined);
  equal(m.landmarks.eye_l_outer.x, 150);
  equal(Object.keys(m.known()), ['crown', 'chin']);
});

test('the least sure proposal is looked at first; taken for good they are no proposals', () => {
  const m = headed();
  m.propose({
    eye_l_outer: { x: 150, y: 190, state: 'proposed', confidence: 0.8 },
    eye_r_outer: { x: 250, y: 190, state: 'proposed', confidence: 0.2 },
  });
  equal(m.mostDoubtful(), 'eye_r_outer');
  m.active = 'eye_r_outer';
  m.confirm();
  equal(m.landmarks.eye_r_outer, { x: 250, y: 190, state: 'placed' });
  m.confirmAll();
  equal(m.hasProposals(), false);
  equal(m.mostDoubtful(), null);
});

test('chances come back to points that lie where they lay', () => {
  const m = marking({ crown: { x: 1, y: 2, state: 'proposed' }, chin: { x: 3, y: 4, state: 'proposed' } });
  m.takeChances({ crown: { x: 1, y: 2, state: 'proposed', confidence: 0.7 }, chin: { x: 9, y: 9, state: 'proposed', confidence: 0.7 } });
  equal(m.landmarks.crown.confidence, 0.7);
  equal(m.landmarks.chin.confidence, undefined);
});

test('three points of a rim give the iris; three on a line give none and change nothing', () => {
  const m = marking();
  const on = (degrees) => ({ x: 100 + 20 * Math.cos(degrees * Math.PI / 180), y: 200 + 20 * Math.sin(degrees * Math.PI / 180) });
  equal(m.placeIris('l', [on(10), on(140), on(260)]), true);
  equal(m.place('iris_l_centre'), { x: 100, y: 200 });
  equal(m.place('iris_l_edge'), { x: 80, y: 200 });
  equal(m.place('iris_l_top'), { x: 100, y: 180 });
  const other = marking();
  equal(other.placeIris('l', [{ x: 0, y: 0 }, { x: 1, y: 1 }, { x: 2, y: 2 }]), false);
  equal([other.landmarks, other.undoSteps], [{}, []]);
});

test('hidden and judged are turned on and off', () => {
  const m = headed();
  m.active = 'sole';
  m.toggleHidden();
  equal(m.landmarks.sole, { state: 'hidden' });
  equal(m.place('sole'), null);
  m.toggleHidden();
  equal(m.landmarks.sole, undefined);
  m.toggleEstimated({ x: 7, y: 8 });
  equal(m.landmarks.sole, { x: 7, y: 8, state: 'estimated' });
  m.toggleEstimated({ x: 0, y: 0 });
  equal(m.landmarks.sole.state, 'placed');
});

test('the nearest point is grabbed, and only within reach', () => {
  const m = headed();
  equal(m.near({ x: 203, y: 104 }, 12).map((p) => p.key), ['crown']);
  equal(m.near({ x: 203, y: 104 }, 4), []);
  holds(m.near({ x: 200, y: 210 }, 500)[0].key === 'chin', 'the chin is nearer');
});
