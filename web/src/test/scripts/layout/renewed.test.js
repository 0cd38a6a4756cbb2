import { equal, test } from '../checks.js';
import { renew } from '../layout/renewed.js';

test('a page that nobody leaves is loaded again', () => {
  let loaded = 0;
  equal(renew(() => { loaded += 1; }), true);
  equal(loaded, 1);
});

test('while a link is being followed it is not, so that the link is not called off', () => {
  let loaded = 0;
  window.dispatchEvent(new Event('beforeunload'));
  equal(renew(() => { loaded += 1; }), false);
  equal(loaded, 0);
});

test('a file that was taken away holds it up for no longer than a link would', () => {
  const now = performance.now;
  let loaded = 0;
  window.dispatchEvent(new Event('beforeunload'));
  const later = now.call(performance) + 60000;
  performance.now = () => later;
  try {
    equal(renew(() => { loaded += 1; }), true);
  } finally {
    performance.now = now;
  }
  equal(loaded, 1);
});
