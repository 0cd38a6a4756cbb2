// The redraw with its fixes carried out, laid over the real one; asked for when it is first looked at.
// Which of them: the first, all, or those whose numbers were pressed.

const FIRST = 3;

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
    this.ones = [...document.querySelectorAll('[data-mends-one]')];
    this.ones.forEach((each) => each.addEventListener('click', () => this.choose(each.dataset.mendsOne)));
    this.buttons.forEach((each) => each.addEventListener('click', () => {
      this.show(this.reach === each.dataset.mends ? '' : each.dataset.mends);
    }));
  }

  /** There and back again. */
  turn() { this.show(this.reach ? '' : this.last); }

  /** The numbers that are carried out now. */
  chosen() {
    if (!this.reach) return [];
    if (this.reach !== 'first' && this.reach !== 'all') return this.reach.split(',');
    const numbers = this.ones.map((each) => each.dataset.mendsOne);
    return this.reach === 'all' ? numbers : numbers.slice(0, FIRST);
  }

  /**
   * One more, or one less; without any the redraw is as it is.
   * @param {string} number
   */
  choose(number) {
    const others = this.chosen().filter((each) => each !== number);
    const now = others.length < this.chosen().length ? others : [...others, number];
    this.show(now.sort((one, other) => Number(one) - Number(other)).join(','));
  }

  /** @param {string} reach first, all, numbers with commas between them, or nothing for the redraw as it is */
  async show(reach) {
    if (!this.picture || !this.told) return;
    this.reach = reach;
    if (reach) this.last = reach;
    this.buttons.forEach((each) => each.setAttribute('aria-pressed', String(each.dataset.mends === reach)));
    const chosen = this.chosen();
    this.ones.forEach((each) => each.setAttribute('aria-pressed', String(chosen.includes(each.dataset.mendsOne))));
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
