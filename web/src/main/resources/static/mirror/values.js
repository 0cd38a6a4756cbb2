// A picture in the few values a style is laid in: each grey becomes the value it belongs to.

export class Values {
  /**
   * @param {!Element} filter whose three colour functions take the table
   * @param {!HTMLElement} button with the address of the table, and where it says that it waits
   */
  constructor(filter, button) {
    this.filter = filter;
    this.button = button;
    /** @type {?Promise<boolean>} */
    this.asked = null;
  }

  /**
   * Asks for the table once; true as soon as the picture can be seen in it.
   * @return {!Promise<boolean>}
   */
  ready() {
    this.asked ??= this.load();
    return this.asked;
  }

  /** @return {!Promise<boolean>} */
  async load() {
    this.button.dataset.state = 'asked';
    try {
      const answer = await fetch(this.button.dataset.from);
      const table = answer.ok ? (await answer.json())['table'] : [];
      if (table.length === 0) throw new Error('no values');
      this.filter.querySelectorAll('[type="discrete"]').forEach((part) => part.setAttribute('tableValues', table.join(' ')));
      this.button.dataset.state = 'there';
      return true;
    } catch {
      this.asked = null;
      this.button.dataset.state = 'none';
      this.button.title = this.button.dataset.none;
      return false;
    }
  }
}
