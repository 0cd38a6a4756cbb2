import { Clock, HINT_AFTER } from '../draw/clock.js';
import { equal, test } from '../checks.js';

const MINUTE = 60000;

/** A clock whose time is turned by hand. */
const desk = (kept = null) => {
  const told = { now: 1000 * MINUTE, kept };
  const clock = new Clock({
    now: () => told.now,
    load: () => told.kept,
    save: (value) => { told.kept = value; },
  });
  return { clock, told };
};

test('it is off until it is started', () => {
  const { clock } = desk();
  equal(clock.isRunning(), false);
  equal(clock.minutes(), 0);
  equal(clock.stop(), 0);
});

test('it counts whole minutes, and the one begun when it is stopped', () => {
  const { clock, told } = desk();
  clock.start();
  told.now += 2.5 * MINUTE;
  equal(clock.minutes(), 2);
  equal(clock.stop(), 3);
  equal(clock.isRunning(), false);
});

test('started twice it goes on from the first time, over a reload too', () => {
  const { clock, told } = desk();
  clock.start();
  told.now += 10 * MINUTE;
  clock.start();
  const again = desk(told.kept);
  again.told.now = told.now + MINUTE;
  equal(again.clock.minutes(), 11);
});

test('a break is hinted at after nearly an hour', () => {
  const { clock, told } = desk();
  clock.start();
  told.now += (HINT_AFTER - 1) * MINUTE;
  equal(clock.isLong(), false);
  told.now += MINUTE;
  equal(clock.isLong(), true);
});

test('what is kept and makes no sense is off', () => {
  equal(desk('tea').clock.isRunning(), false);
  equal(desk(String(2000 * MINUTE)).clock.isRunning(), false);
});
