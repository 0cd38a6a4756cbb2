import { AGAIN, Keeping, REST, State } from '../measure/keeping.js';
import { equal, test } from '../checks.js';

/** A keeping with a clock that is turned by hand and a server that answers as told. */
const desk = (...answers) => {
  const told = { sent: [], states: [], draft: null, timers: [], open: [] };
  const keeping = new Keeping(3, {
    send: (version) => {
      told.sent.push(version);
      const answer = answers.shift();
      if (answer === 'wait') return new Promise((resolve) => told.open.push(resolve));
      return answer === 'lost' ? Promise.reject(new Error('no network')) : Promise.resolve(answer);
    },
    after: (milliseconds, then) => { told.timers.push({ milliseconds, then }); return told.timers.length; },
    cancel: (timer) => { if (timer) told.timers[timer - 1] = null; },
    keepDraft: (version) => { told.draft = version; },
    dropDraft: () => { told.draft = null; },
    tell: (state) => told.states.push(state),
  });
  const turnClock = async () => {
    const due = told.timers.filter((timer) => timer);
    told.timers = told.timers.map(() => null);
    for (const timer of due) await timer.then();
  };
  return { keeping, told, turnClock };
};
const kept = (version) => ({ ok: true, status: 200, version, text: '' });
const refused = (status, version = 0) => ({ ok: false, status, version, text: 'why' });

test('marks rest a while and are sent from the version they were made from', async () => {
  const { keeping, told, turnClock } = desk(kept(4));
  keeping.changed();
  keeping.changed();
  equal(told.sent, []);
  equal(told.timers.filter((timer) => timer).map((timer) => timer.milliseconds), [REST]);
  await turnClock();
  equal(told.sent, [3]);
  equal(keeping.version, 4);
  equal(keeping.state, State.SAVED);
});

test('a draft lies there until the marks are known to have arrived', async () => {
  const { keeping, told, turnClock } = desk('lost', kept(4));
  keeping.changed();
  equal(told.draft, 3);
  await turnClock();
  equal([told.draft, keeping.state, keeping.isOwing()], [3, State.UNSAVED, true]);
  equal(told.timers.filter((timer) => timer).map((timer) => timer.milliseconds), [AGAIN]);
  await turnClock();
  equal([told.draft, keeping.state, keeping.isOwing()], [null, State.SAVED, false]);
});

test('what is marked while a save is on its way is sent after it, never beside it', async () => {
  const { keeping, told, turnClock } = desk('wait', kept(5));
  keeping.changed();
  const first = turnClock();
  keeping.changed();
  await turnClock();
  equal(told.sent, [3]);
  told.open[0](kept(4));
  await first;
  equal(told.sent, [3, 4]);
  equal([keeping.version, told.draft, keeping.state], [5, null, State.SAVED]);
});

test('another window came first: nothing more is sent until somebody says whose marks count', async () => {
  const { keeping, told, turnClock } = desk(refused(409, 7), kept(8));
  keeping.changed();
  await turnClock();
  equal([keeping.state, keeping.isOwing(), told.draft], [State.CONFLICT, false, 3]);
  keeping.changed();
  await turnClock();
  equal(told.sent, [3]);
  equal(keeping.state, State.CONFLICT);
  await keeping.keepMine();
  equal(told.sent, [3, 7]);
  equal([keeping.version, keeping.state], [8, State.SAVED]);
});

test('theirs count: nothing is sent and the draft is gone', async () => {
  const { keeping, told, turnClock } = desk(refused(409, 7));
  keeping.changed();
  await turnClock();
  keeping.keepTheirs();
  equal([told.draft, keeping.isOwing()], [null, false]);
});

test('a refusal is told, and tried again', async () => {
  const { keeping, told, turnClock } = desk(refused(400), kept(4));
  keeping.changed();
  await turnClock();
  equal(told.states, [State.SAVING, State.SAVING, State.UNSAVED]);
  await turnClock();
  equal(told.states.at(-1), State.SAVED);
});

test('nothing is sent where nothing was marked', async () => {
  const { keeping, told } = desk();
  await keeping.save();
  equal(told.sent, []);
});
