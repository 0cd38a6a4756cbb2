import { moved } from '../cards/cards.js';
import { equal, test } from '../checks.js';

test('arrows go from card to card and stay where there is none', () => {
  equal(moved(0, 'ArrowRight', 4, 7), 1);
  equal(moved(1, 'ArrowDown', 4, 7), 5);
  equal(moved(5, 'ArrowUp', 4, 7), 1);
  equal(moved(3, 'ArrowDown', 4, 7), 3);
  equal(moved(0, 'ArrowLeft', 4, 7), 0);
  equal(moved(6, 'ArrowRight', 4, 7), 6);
});

test('the first arrow leads to the first card, and no other key leads anywhere', () => {
  equal(moved(-1, 'ArrowDown', 4, 7), 0);
  equal(moved(2, 'Enter', 4, 7), 2);
});
