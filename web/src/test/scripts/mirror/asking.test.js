import { answeredMarks } from '../mirror/asking.js';
import { Round } from '../through/round.js';
import { equal, test } from '../checks.js';

const card = {
  id: 1, number: 1, title: 'try', picture: 'ab', width: 400, height: 600, version: 1, view: 'FRONT', framing: 'FULL', mood: null, light: null, figure: [0, 0, 1, 1],
  points: { crown: { x: 200, y: 100, chance: 0.9 }, chin: { x: 200, y: 300, chance: 0.4 } }, taken: ['crown'], doubts: ['chin', 'sole'], asks: [],
};
const before = { crown: { x: 200, y: 100, state: 'proposed' }, chin: { x: 200, y: 300, state: 'proposed' } };

test('an answer confirms its own point and leaves the others as they were seen', () => {
  const round = new Round([{ ...card, points: { ...card.points } }]);
  round.nudge(4, 0);
  equal(answeredMarks(before, round, ['chin'], false), {
    crown: { x: 200, y: 100, state: 'proposed' }, chin: { x: 204, y: 300, state: 'placed' },
  });
});

test('the last answer takes what was sure along with it', () => {
  const round = new Round([{ ...card, points: { ...card.points } }]);
  equal(answeredMarks(before, round, ['chin'], true).crown, { x: 200, y: 100, state: 'placed' });
});

test('a point that is not there is kept as hidden', () => {
  const round = new Round([{ ...card, points: { ...card.points } }]);
  round.hide();
  equal(answeredMarks(before, round, ['chin'], false).chin, { state: 'hidden' });
});

test('what a hand placed before is not moved by the last answer', () => {
  const round = new Round([{ ...card, points: { ...card.points } }]);
  const placed = { ...before, crown: { x: 190, y: 90, state: 'placed' } };
  equal(answeredMarks(placed, round, ['chin'], true).crown, { x: 190, y: 90, state: 'placed' });
});
