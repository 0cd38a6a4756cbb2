// What tests of scripts say: a name with what must hold, and equal, near, holds.

const tests = [];

/**
 * @param {string} name a sentence
 * @param {function(): (void|!Promise<void>)} body throws when it does not hold
 */
export const test = (name, body) => tests.push({ name, body });

const told = (value) => JSON.stringify(value, (key, v) => (v === undefined ? 'undefined' : v));

export const equal = (found, wanted) => {
  if (told(found) !== told(wanted)) throw new Error(`expected ${told(wanted)}, found ${told(found)}`);
};

export const near = (found, wanted, within) => {
  if (!(Math.abs(found - wanted) <= within)) throw new Error(`expected ${wanted} within ${within}, found ${found}`);
};

export const holds = (condition, what) => {
  if (!condition) throw new Error(what);
};

/** Runs all that were named; tells of each what went wrong, or nothing. */
export const run = async () => {
  const outcomes = [];
  for (const { name, body } of tests) {
    try {
      await body();
      outcomes.push({ name, fault: '' });
    } catch (error) {
      outcomes.push({ name, fault: String(error.stack ?? error) });
    }
  }
  return outcomes;
};
