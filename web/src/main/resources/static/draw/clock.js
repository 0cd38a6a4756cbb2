// A clock that is off until somebody starts it. Where it was started is kept, so it goes on over a
// reload; stopped, it says how many minutes are to be added. Time and store are passed in.

const MINUTE = 60000;

/** After so many minutes a break is hinted at, once. */
export const HINT_AFTER = 50;

/** @typedef {{now: function(): number, load: function(): ?string, save: function(?string)}} */
export let Means;

export class Clock {
  /** @param {!Means} means */
  constructor(means) {
    this.means = means;
  }

  /** @return {boolean} */
  isRunning() {
    return this.begun() > 0;
  }

  /**
   * When it was started, milliseconds since 1970; 0 while it is off. One that says it was started
   * later than now is off.
   * @return {number}
   */
  begun() {
    const kept = Number(this.means.load() || 0);
    return kept > 0 && kept <= this.means.now() ? kept : 0;
  }

  start() {
    if (!this.isRunning()) this.means.save(String(this.means.now()));
  }

  /** @return {number} whole minutes it has run, 0 while it is off */
  minutes() {
    const begun = this.begun();
    return begun ? Math.floor((this.means.now() - begun) / MINUTE) : 0;
  }

  /** @return {number} whole minutes it ran, the last begun one counted */
  stop() {
    const begun = this.begun();
    this.means.save(null);
    return begun ? Math.ceil((this.means.now() - begun) / MINUTE) : 0;
  }

  /** @return {boolean} whether it is time for a break */
  isLong() {
    return this.minutes() >= HINT_AFTER;
  }
}
