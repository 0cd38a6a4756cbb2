import { Mended } from '../mirror/mended.js';
import { equal, test } from '../checks.js';

const page = () => {
  document.body.innerHTML = `<svg><image id="picture" hidden data-from="/m/7/mended"/></svg>
    <button data-mends="first" aria-pressed="false"></button><button data-mends="all" aria-pressed="false"></button>
    ${[1, 2, 3, 4].map((n) => `<button data-mends-one="${n}" aria-pressed="false">${n}</button>`).join('')}
    <p id="told" hidden><span></span><a>png</a><a>ora</a></p>`;
  const told = document.getElementById('told');
  const picture = document.getElementById('picture');
  return { told, picture, mended: new Mended(picture, told) };
};

const answering = (byAddress) => {
  window.fetch = async (address) => ({ ok: address in byAddress, json: async () => byAddress[address] });
};

test('nothing is asked for before it is looked at', () => {
  const { picture, told } = page();
  equal(picture.hasAttribute('href'), false);
  equal(told.hidden, true);
});

test('a press lays the mended one over and says what it reaches', async () => {
  answering({ '/m/7/mended.json?reach=first': { words: 'By the rules 66, mended 78.', left: 'Left to draw: 1.' } });
  const { picture, told, mended } = page();
  await mended.show('first');
  equal(picture.getAttribute('href'), '/m/7/mended.png?reach=first&height=1200');
  equal(told.querySelector('span').textContent, 'By the rules 66, mended 78. Left to draw: 1.');
  equal(told.querySelectorAll('a')[1].getAttribute('href'), '/m/7/mended.ora?reach=first');
  mended.turn();
  equal(picture.hasAttribute('hidden'), true);
  equal(told.hidden, true);
});

test('the key brings back what was looked at last', async () => {
  answering({ '/m/7/mended.json?reach=all': { words: 'Now.', left: '' } });
  const { picture, mended } = page();
  await mended.show('all');
  mended.turn();
  mended.turn();
  equal(picture.getAttribute('href').includes('reach=all'), true);
  equal(document.querySelector('[data-mends=all]').getAttribute('aria-pressed'), 'true');
});

const pressed = () => [...document.querySelectorAll('[data-mends-one][aria-pressed=true]')].map((one) => one.textContent);

test('numbers carry out one more and one less, from what is shown', async () => {
  answering({});
  const { picture, told, mended } = page();
  await mended.show('first');
  equal(pressed().join(), '1,2,3');
  document.querySelector('[data-mends-one="4"]').click();
  document.querySelector('[data-mends-one="2"]').click();
  equal(picture.getAttribute('href'), '/m/7/mended.png?reach=1,3,4&height=1200');
  equal(pressed().join(), '1,3,4');
  equal(document.querySelector('[data-mends=first]').getAttribute('aria-pressed'), 'false');
  for (const number of [1, 3, 4]) document.querySelector(`[data-mends-one="${number}"]`).click();
  equal(told.hidden, true);
  equal(pressed().length, 0);
});

test('a number alone shows that change alone, and the key brings it back', async () => {
  answering({});
  const { picture, mended } = page();
  mended.choose('4');
  equal(picture.getAttribute('href'), '/m/7/mended.png?reach=4&height=1200');
  mended.turn();
  equal(picture.hasAttribute('hidden'), true);
  mended.turn();
  equal(pressed().join(), '4');
});

test('an answer that comes too late says nothing of another', async () => {
  let release = () => {};
  const waiting = new Promise((done) => { release = done; });
  window.fetch = async (address) => {
    if (address.includes('first')) await waiting;
    return { ok: true, json: async () => ({ words: address.includes('first') ? 'early' : 'late', left: '' }) };
  };
  const { told, mended } = page();
  const first = mended.show('first');
  await mended.show('all');
  release(undefined);
  await first;
  equal(told.querySelector('span').textContent, 'late');
});

test('a server that is away leaves the words empty', async () => {
  window.fetch = async () => { throw new Error('away'); };
  const { told, mended } = page();
  await mended.show('first');
  equal(told.querySelector('span').textContent, '');
});
