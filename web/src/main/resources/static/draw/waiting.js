// What a hand did and is not sent yet. Nothing is lost: it lies in the browser until the server has
// it, over a reload too. Sender, store and clock are passed in, so all of it runs without a page.

/** Tried again after so long, milliseconds. */
export const AGAIN = 4000;

/** @typedef {{key: string, text: string, stage: string, ticked: boolean, at: number}} */
export let Done;

/**
 * @typedef {{
 *   send: function(!Array<!Done>): !Promise<{ok: boolean, refused: boolean}>,
 *   keep: function(!Array<!Done>),
 *   after: function(number, function()),
 *   tell: function(number, boolean)
 * }}
 */
export let Means;

export class Waiting {
  /**
   * @param {!Array<!Done>} left from before a reload
   * @param {!Means} means
   */
  constructor(left, means) {
    /** @type {!Array<!Done>} */
    this.list = left.slice();
    this.means = means;
    this.inFlight = false;
    this.isToTryAgain = false;
  }

  /**
   * @param {!Done} done
   * @return {!Promise<void>}
   */
  add(done) {
    this.list.push(done);
    this.means.keep(this.list);
    return this.send();
  }

  /**
   * What is refused is let go and told: it would be refused again.
   * @return {!Promise<void>} done when nothing more is on its way
   */
  async send() {
    if (this.inFlight || this.list.length === 0) return;
    this.inFlight = true;
    const taken = this.list.slice();
    let went = false;
    let refused = false;
    try {
      const answer = await this.means.send(taken);
      refused = answer.refused;
      went = answer.ok || answer.refused;
    } catch {
      went = false;
    }
    this.inFlight = false;
    if (went) {
      this.list = this.list.slice(taken.length);
      this.means.keep(this.list);
    }
    this.means.tell(this.list.length, refused);
    if (went) {
      await this.send();
    } else {
      this.tryAgain();
    }
  }

  /** @private */
  tryAgain() {
    if (this.isToTryAgain) return;
    this.isToTryAgain = true;
    this.means.after(AGAIN, () => {
      this.isToTryAgain = false;
      this.send();
    });
  }

  /**
   * Whether something is ticked, by what waits or else by what the server says.
   * @param {string} key
   * @param {boolean} there
   * @return {boolean}
   */
  stands(key, there) {
    const last = this.list.filter((done) => done.key === key && done.text === '').pop();
    return last ? last.ticked : there;
  }
}
