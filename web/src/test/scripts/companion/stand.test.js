import { keyed, moved, placed, sized, turn } from '../companion/stand.js';
import { equal, near, test } from '../checks.js';

const stand = { x: 500, ground: 900, scale: 2, mirrored: false, behind: false };
const cut = { width: 100, height: 300, below: 280 };

test('a figure is placed about its middle and on its ground', () => {
  equal(placed(stand, cut), { x: 400, y: 340, width: 200, height: 600 });
});

test('made larger it stays on its ground, and its middle stays', () => {
  const larger = sized(stand, 1.5);
  const at = placed(larger, cut);
  equal(at.x + at.width / 2, 500);
  equal(at.y + 1.5 * 2 * cut.below, 900);
  equal(larger.behind, false);
});

test('turned about, it is mirrored at its middle', () => {
  equal(turn(stand), '');
  equal(turn(keyed(stand, 'F', false, 200)), 'matrix(-1 0 0 1 1000 0)');
  equal(keyed(keyed(stand, 'f', false, 200), 'f', false, 200), stand);
});

test('keys move it by a hundredth of a head, ten times as far with Shift', () => {
  equal(keyed(stand, 'ArrowLeft', false, 200).x, 498);
  equal(keyed(stand, 'ArrowDown', true, 200).ground, 920);
  equal(keyed(stand, 'x', false, 200), null);
  near(keyed(keyed(stand, '+', false, 200), '-', false, 200).scale, 2, 1e-12);
});

test('a stand is never changed', () => {
  const before = JSON.stringify(stand);
  moved(stand, 5, 5);
  keyed(stand, 'b', false, 200);
  equal(JSON.stringify(stand), before);
});
