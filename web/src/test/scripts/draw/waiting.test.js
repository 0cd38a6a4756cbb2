import { AGAIN, Waiting } from '../draw/waiting.js';
import { equal, test } from '../checks.js';

/** A list that waits, with a server that answers as told and a clock that is turned by hand. */
const desk = (left, ...answers) => {
  const told = { sent: [], kept: null, counts: [], timers: [], open: [] };
  const waiting = new Waiting(left, {
    send: (list) => {
      told.sent.push(list.map((done) => done.key));
      const answer = answers.shift();
      if (answer === 'lost') return Promise.reject(new Error('no network'));
      if (answer === 'wait') return new Promise((resolve) => told.open.push(resolve));
      return Promise.resolve(answer);
    },
    keep: (list) => { told.kept = JSON.stringify(list.map((done) => done.key)); },
    after: (milliseconds, then) => told.timers.push({ milliseconds, then }),
    tell: (count, refused) => told.counts.push(refused ? 'refused' : count),
  });
  return { waiting, told };
};
const tick = (key, ticked = true) => ({ key, text: '', stage: '', ticked, at: 1 });
const taken = { ok: true, refused: false };
const failing = { ok: false, refused: false };

test('what is ticked is kept first and sent at once', async () => {
  const { waiting, told } = desk([], taken);
  await waiting.add(tick('a'));
  equal(told.sent, [['a']]);
  equal(told.kept, '[]');
  equal(told.counts, [0]);
});

test('without a network it stays, is told, and goes again in its order', async () => {
  const { waiting, told } = desk([], 'lost', 'lost', taken);
  await waiting.add(tick('a'));
  await waiting.add(tick('b'));
  equal(told.kept, '["a","b"]');
  equal(told.counts, [1, 2]);
  equal(told.timers.map((timer) => timer.milliseconds), [AGAIN]);
  await told.timers[0].then();
  await Promise.resolve();
  equal(told.sent.at(-1), ['a', 'b']);
  equal(waiting.list, []);
});

test('a server that fails is a network that is away', async () => {
  const { waiting, told } = desk([], failing);
  await waiting.add(tick('a'));
  equal(told.kept, '["a"]');
  equal(told.timers.length, 1);
});

test('what is refused is let go and told, so that the rest can go', async () => {
  const { waiting, told } = desk([], { ok: false, refused: true }, taken);
  await waiting.add(tick('a'));
  equal(told.counts, ['refused']);
  await waiting.add(tick('b'));
  equal(told.sent, [['a'], ['b']]);
  equal(told.kept, '[]');
});

test('what is ticked while something is on its way goes right after it', async () => {
  const { waiting, told } = desk([], 'wait', taken);
  const first = waiting.add(tick('a'));
  await waiting.add(tick('b'));
  equal(told.sent, [['a']]);
  told.open[0](taken);
  await first;
  equal(told.sent, [['a'], ['b']]);
  equal(told.kept, '[]');
});

test('what a reload left is sent, and stands before it is', async () => {
  const { waiting, told } = desk([tick('a'), tick('b', false)], taken);
  equal(waiting.stands('a', false), true);
  equal(waiting.stands('b', true), false);
  equal(waiting.stands('c', true), true);
  await waiting.send();
  equal(told.sent, [['a', 'b']]);
});

test('the last word of a hand stands', () => {
  const { waiting } = desk([tick('a'), tick('a', false), tick('a')]);
  equal(waiting.stands('a', false), true);
});
