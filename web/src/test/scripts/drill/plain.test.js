import { frame, mark } from '../drill/plain.js';
import { equal, test } from '../checks.js';

test('a height runs from the crown to the chin', () => {
  equal(mark('height', 0), 'M14 10H186');
  equal(mark('height', 0.5), 'M14 120H186');
  equal(mark('height', 1), 'M14 230H186');
});

test('a figure of so many heads has a head of that share', () => {
  // Half of 220 px, so the spine begins in the middle.
  equal(mark('heads', 2).endsWith('M100 120V230'), true);
  equal(mark('heads', 4).endsWith('M100 65V230'), true);
});

test('legs begin at the crotch', () => {
  equal(mark('legs', 0.5), 'M100 10V120M100 120L70 230M100 120L130 230');
});

test('an opening as tall as wide is round', () => {
  equal(mark('opening', 1), 'M50 120a50 50 0 1 0 100 0a50 50 0 1 0 -100 0z');
});

test('one eye across the whole face is as wide as the plain head', () => {
  const left = Number(/^M([\d.]+) /.exec(mark('width', 1))[1]);
  const headLeft = Number(/^M([\d.]+) /.exec(frame('width'))[1]);
  equal(Math.abs(left - headLeft) < 0.1, true);
});
