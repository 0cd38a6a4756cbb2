import { headBox, isSure, questions, Round, said } from '../through/round.js';
import { equal, holds, test } from '../checks.js';

const card = (id, doubts = [], asks = []) => ({
  id, number: id, title: `work ${id}`, picture: 'ab', width: 400, height: 600, version: 1, view: 'FRONT', framing: 'FACE', mood: null, light: null,
  figure: [0, 0, 400, 600],
  points: { crown: { x: 200, y: 100, chance: 0.9 }, chin: { x: 200, y: 300, chance: 0.4 }, mouth_l: { x: 180, y: 250, chance: 0.8 }, sole: { x: 200, y: 590, chance: 0.9 } },
  taken: ['crown', 'mouth_l', 'sole'], doubts, asks,
});

test('the side and the framing are asked before the points, and of a sure work only all of it', () => {
  equal(questions(card(1, ['chin'], ['view'])), [{ kind: 'view', key: '' }, { kind: 'point', key: 'chin' }]);
  equal(questions(card(1)), [{ kind: 'all', key: '' }]);
  equal(isSure(card(1)), true);
  equal(isSure(card(1, ['chin'])), false);
});

test('the head is seen with some room, and none where too few of its points are known', () => {
  const box = headBox(card(1));
  equal(box, { x: 190 - 100 - 60, y: 200 - 100 - 60, width: 320, height: 320 });
  equal(headBox({ ...card(1), points: { sole: { x: 1, y: 1, chance: 1 } } }), null);
});

test('each answer goes to the next question, and the last one ends the work', () => {
  const round = new Round([card(1, ['chin', 'crown']), card(2)]);
  equal(round.point(), 'chin');
  equal(round.right(), false);
  equal(round.card.points.chin.chance, 1);
  equal(round.point(), 'crown');
  equal(round.right(), true);
  round.finish(1);
  equal(round.card.id, 2);
  equal(round.done.has(1), true);
  equal(round.right(), true);
  round.finish(2);
  equal(round.card, null);
});

test('a nudge moves the point that is asked about, never off the picture, and is taken back', () => {
  const round = new Round([card(1, ['chin'])]);
  round.nudge(3, -2);
  equal(round.card.points.chin, { x: 203, y: 298, chance: 1 });
  round.nudge(1000, 0);
  equal(round.card.points.chin.x, 400);
  equal(round.undo(), true);
  equal(round.undo(), true);
  equal(round.card.points.chin, { x: 200, y: 300, chance: 0.4 });
  equal(round.undo(), false);
});

test('a drag is one step, however many moves it has', () => {
  const round = new Round([card(1, ['chin'])]);
  round.place('chin', 210, 310, true);
  round.place('chin', 220, 320, false);
  round.place('chin', 230, 330, false);
  equal(round.undo(), true);
  equal(round.card.points.chin.x, 200);
});

test('a point that is not in the picture is said so, and comes back where it is placed', () => {
  const round = new Round([card(1, ['chin', 'crown'])]);
  equal(round.hide(), false);
  equal(round.hidden.has('chin'), true);
  round.go(-1);
  round.place('chin', 201, 301);
  equal(round.hidden.has('chin'), false);
});

test('a point that somebody touches is asked about next, also of a sure work', () => {
  const doubted = new Round([card(1, ['chin'])]);
  doubted.ask('crown');
  equal(doubted.point(), 'crown');
  equal(doubted.asked.length, 2);
  const sure = new Round([card(1)]);
  sure.ask('crown');
  equal(sure.asked, [{ kind: 'point', key: 'crown' }]);
});

test('what is known anew leaves the work that is shown alone, and what is done with', () => {
  const round = new Round([card(1, ['chin']), card(2, ['chin']), card(3)]);
  round.nudge(5, 0);
  round.renew([card(3), card(2), card(1)]);
  equal(round.card.points.chin.x, 205);
  equal(round.cards.map((one) => one.id), [1, 3, 2]);
  round.finish(1);
  round.renew([card(1), card(2), card(3)]);
  equal(round.cards.map((one) => one.id), [3, 2]);
  const empty = new Round([]);
  empty.renew([card(4)]);
  equal(empty.card.id, 4);
});

test('works are told apart by whether something is asked of them', () => {
  const round = new Round([card(1, ['chin']), card(2, ['chin']), card(3), card(4)]);
  equal(round.doubted().map((one) => one.id), [2]);
  equal(round.sure().map((one) => one.id), [3, 4]);
  round.other(1);
  equal(round.card.id, 2);
  round.other(-1);
  equal(round.card.id, 1);
  round.other(-1);
  equal(round.card.id, 1);
});

test('what is said has every point placed, and those that are not there hidden', () => {
  const one = card(1, ['chin']);
  const sent = said(one, new Set(['chin']));
  const landmarks = JSON.parse(sent.landmarks);
  equal(landmarks.crown, { x: 200, y: 100, state: 'placed' });
  equal(landmarks.chin, { state: 'hidden' });
  equal([sent.version, sent.view, sent.framing, sent.mood], [1, 'FRONT', 'FACE', null]);
  holds(!('points' in sent));
});
