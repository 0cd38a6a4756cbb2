import { carriesFiles, dropped } from '../layout/dropped.js';
import { handedOver, handOver, letGo } from '../layout/handover.js';
import { equal, test } from '../checks.js';

const file = (name, text = 'x') => new File([text], name, { type: 'image/png' });
const fileEntry = (name) => ({ name, isFile: true, isDirectory: false, file: (done) => done(file(name)) });
/** A folder as a browser gives it: its entries come in several goes. */
const folder = (name, goes) => {
  const left = [...goes];
  return { name, isFile: false, isDirectory: true, createReader: () => ({ readEntries: (done) => done(left.shift() ?? []) }) };
};
const transfer = (entries, files = []) => ({ items: entries.map((entry) => ({ webkitGetAsEntry: () => entry })), files });

test('files alone come as they are, without a name of a folder', async () => {
  const { name, files } = await dropped(transfer([fileEntry('a.png')], [file('a.png')]));
  equal(name, '');
  equal(files.map((one) => one.name), ['a.png']);
});

test('a folder gives its name and all its files, also of folders in it, by number', async () => {
  const inner = folder('inks', [[fileEntry('c.png')]]);
  const all = folder('The Lantern Barge', [[fileEntry('p10.png'), fileEntry('p2.png')], [fileEntry('.hidden'), inner]]);
  const { name, files } = await dropped(transfer([all]));
  equal(name, 'The Lantern Barge');
  equal(files.map((one) => one.name), ['p2.png', 'p10.png', 'c.png']);
});

test('a drag of text carries no files', () => {
  equal(carriesFiles({ dataTransfer: { types: ['text/plain'] } }), false);
  equal(carriesFiles({ dataTransfer: { types: ['Files'] } }), true);
  equal(carriesFiles({ dataTransfer: null }), false);
});

test('files wait for the page they are meant for until they are let go', async () => {
  await handOver('/studies/1/gather', [file('a.png', 'one'), file('b.png', 'two')]);
  await handOver('/studies/2/gather', [file('c.png')]);
  const waiting = await handedOver('/studies/1/gather');
  equal(waiting.map((one) => one.file.name), ['a.png', 'b.png']);
  equal(await waiting[1].file.text(), 'two');
  await letGo(waiting[0].key);
  equal((await handedOver('/studies/1/gather')).map((one) => one.file.name), ['b.png']);
  equal((await handedOver('/studies/3/gather')).length, 0);
});
