// The redraw with its fixes carried out, laid over the real one; asked for when it is first looked at.

export class Mended {
  /**
   * @param {?Element} picture the image that lies over the redraw
   * @param {?HTMLElement} told what it would reach, with the ways to take it away
   */
  constructor(picture, told) {
    this.picture = picture;
    this.told = told;
    this.reach = '';
    this.last = 'first';
    this.buttons = [...document.querySelectorAll('[data-mends]')];
    this.buttons.forEach((each) => each.addEventListener('click', () => {
      this.show(this.reach === each.dataset.mends ? '' : each.dataset.mends);
    }));
  }

  /** There and back again. */
  turn() { this.show(this.reach ? '' : this.last); }

  /** @param {string} reach first, all, or nothing for the redraw as it is */
  async show(reach) {
    if (!this.picture || !this.told) return;
    this.reach = reach;
    if (reach) this.last = reach;
    this.buttons.forEach((each) => each.setAttribute('aria-pressed', String(each.dataset.mends === reach)));
    this.picture.toggleAttribute('hidden', !reach);
    this.told.hidden = !reach;
    if (!reach) return;
    const from = this.picture.dataset.from;
    this.picture.setAttribute('href', `${from}.png?reach=${reach}&height=1200`);
    const links = this.told.querySelectorAll('a');
    links[0].setAttribute('href', `${from}.png?reach=${reach}`);
    links[1].setAttribute('href', `${from}.ora?reach=${reach}`);
    const words = this.told.querySelector('span');
    words.textContent = '…';
    const answer = await fetch(`${from}.json?reach=${reach}`).catch(() => null);
    const said = answer?.ok ? await answer.json() : null;
    // Meanwhile another may have been asked for.
    if (this.reach === reach) words.textContent = said ? [said['words'], said['left']].filter(Boolean).join(' ') : '';
  }
}
