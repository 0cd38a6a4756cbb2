// Sends marks to be kept, and never loses any: what could not be sent waits and is tried again, and
// lies in a draft meanwhile. Clock, sender and draft are passed in, so all of it runs without a page.

/** What is told of a save: on its way, kept, not yet kept, or kept otherwise by another window. */
export const State = { SAVING: 'saving', SAVED: 'saved', UNSAVED: 'unsaved', CONFLICT: 'conflict' };

/** Marks rest for so long before they are sent, milliseconds. */
export const REST = 150;
/** And are tried again after so long. */
export const AGAIN = 3000;

const CONFLICT_STATUS = 409;

/** @typedef {{ok: boolean, status: number, version: number, text: string}} */
export let Answer;

/**
 * @typedef {{
 *   send: function(number): !Promise<!Answer>,
 *   after: function(number, function()): number,
 *   cancel: function(number),
 *   keepDraft: function(number),
 *   dropDraft: function(),
 *   tell: function(string, string)
 * }}
 */
export let Means;

export class Keeping {
  /**
   * @param {number} version that is kept
   * @param {!Means} means
   */
  constructor(version, means) {
    /** @type {number} */
    this.version = version;
    this.means = means;
    this.state = State.SAVED;
    this.dirty = false;
    this.inFlight = false;
    this.timer = 0;
    /** The version that another window kept meanwhile. */
    this.theirs = version;
  }

  /** @return {boolean} whether something waits that could be sent */
  isOwing() {
    return this.dirty && this.state !== State.CONFLICT;
  }

  /** Something was marked. */
  changed() {
    this.dirty = true;
    this.means.keepDraft(this.version);
    if (this.state !== State.CONFLICT) this.tell(State.SAVING, '');
    this.wait(REST);
  }

  /** @return {!Promise<void>} done when nothing more is on its way */
  async save() {
    if (!this.isOwing() || this.inFlight) return;
    this.inFlight = true;
    this.dirty = false;
    this.tell(State.SAVING, '');
    try {
      this.take(await this.means.send(this.version));
    } catch {
      this.fail('');
    } finally {
      this.inFlight = false;
    }
    if (this.isOwing() && this.state !== State.UNSAVED) await this.save();
  }

  /**
   * @param {!Answer} answer
   * @private
   */
  take(answer) {
    if (answer.ok) {
      this.version = answer.version;
      if (!this.dirty) this.means.dropDraft();
      this.tell(State.SAVED, answer.text);
    } else if (answer.status === CONFLICT_STATUS) {
      this.dirty = true;
      this.theirs = answer.version;
      this.tell(State.CONFLICT, answer.text);
    } else {
      this.fail(answer.text);
    }
  }

  /** In a conflict these marks are to count: they are kept after the other window's. */
  keepMine() {
    this.version = this.theirs;
    this.state = State.SAVING;
    return this.save();
  }

  /** In a conflict the other window's marks are to count. */
  keepTheirs() {
    this.dirty = false;
    this.means.dropDraft();
  }

  /**
   * @param {string} text
   * @private
   */
  fail(text) {
    this.dirty = true;
    this.tell(State.UNSAVED, text);
    this.wait(AGAIN);
  }

  /**
   * @param {number} milliseconds
   * @private
   */
  wait(milliseconds) {
    this.means.cancel(this.timer);
    this.timer = this.means.after(milliseconds, () => this.save());
  }

  /**
   * @param {string} state
   * @param {string} text that came with it
   * @private
   */
  tell(state, text) {
    this.state = state;
    this.means.tell(state, text);
  }
}
