import { Laid } from '../mirror/laid.js';
import { equal, test } from '../checks.js';

const at = { x: 100, y: 50 };
const rounded = (laid) => [laid.a, laid.b, laid.e, laid.f].map((value) => Number(value.toFixed(6)) + 0);
const placed = (laid, x, y) => [laid.a * x - laid.b * y + laid.e, laid.b * x + laid.a * y + laid.f].map((value) => Number(value.toFixed(6)) + 0);

test('what is moved lies as much farther on', () => {
  equal(placed(Laid.asItWas().moved(7, -3), 10, 20), [17, 17]);
});

test('what is sized or turned about a place keeps that place', () => {
  equal(placed(Laid.asItWas().sized(1.5, at), at.x, at.y), [100, 50]);
  equal(placed(Laid.asItWas().turned(30, at), at.x, at.y), [100, 50]);
});

test('a quarter turn goes clockwise on a page, whose y runs down', () => {
  equal(placed(Laid.asItWas().turned(90, at), 110, 50), [100, 60]);
});

test('steps follow each other: twice as large, then moved, then turned back and forth', () => {
  const laid = Laid.asItWas().sized(2, at).moved(5, 5);
  equal(placed(laid, 110, 50), [125, 55]);
  equal(rounded(laid.turned(12, at).turned(-12, at)), rounded(laid));
});

test('it grows and shrinks only as far as it can be seen', () => {
  equal(rounded(Laid.asItWas().sized(100, at)).slice(0, 1), [5]);
  equal(rounded(Laid.asItWas().sized(0.001, at)).slice(0, 1), [0.2]);
});

test('what is kept is read back, and what cannot be read is as it was', () => {
  const laid = Laid.asItWas().turned(3, at).moved(2, 1);
  equal(Laid.read(laid.text()).text(), laid.text());
  equal(laid.isAsItWas(), false);
  for (const text of [null, '', '{', '[1,2]', '[1,0,null,0]', '["1",0,0,0]', '[0,0,3,3]', '[900,0,0,0]']) {
    equal(Laid.read(text).isAsItWas(), true);
  }
});

test('an SVG is told the matrix column by column', () => {
  equal(Laid.asItWas().turned(90, { x: 0, y: 0 }).moved(3, 4).transform(), 'matrix(0 1 -1 0 3 4)');
});
