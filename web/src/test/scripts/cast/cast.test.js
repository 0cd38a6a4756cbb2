import { fits, sendAll, sorted } from '../cast/cast.js';
import { equal, test } from '../checks.js';

const table = () => {
  document.body.innerHTML = `<table><tbody>
    <tr data-title="Baker" data-rules="64" data-glance="70" data-state="apart"><td>Baker Eyes too high</td></tr>
    <tr data-title="ferryman" data-rules="" data-glance="" data-state="reading"><td>ferryman</td></tr>
    <tr data-title="Apprentice" data-rules="98" data-glance="61" data-state="belongs"><td>Apprentice</td></tr>
    <tr data-title="Cook" data-rules="9" data-glance="80" data-state="apart"><td>Cook Line too thin</td></tr>
  </tbody></table>`;
  return [...document.querySelectorAll('tr')];
};
const titles = (rows) => rows.map((row) => row.dataset.title).join(' ');

test('points are sorted as numbers, and what is not read yet comes last', () => {
  const rows = table();
  equal(titles(sorted(rows, 'rules', false)), 'Cook Baker Apprentice ferryman');
  equal(titles(sorted(rows, 'rules', true)), 'Apprentice Baker Cook ferryman');
  equal(titles(sorted(rows, 'title', false)), 'Apprentice Baker Cook ferryman');
  equal(titles(rows), 'Baker ferryman Apprentice Cook');
});

test('rows are found by all words and by where they lie', () => {
  const rows = table();
  const found = (words, state) => titles(rows.filter((row) => fits(row, words, state)));
  equal(found('', ''), 'Baker ferryman Apprentice Cook');
  equal(found('HIGH eyes', ''), 'Baker');
  equal(found('', 'apart'), 'Baker Cook');
  equal(found('thin', 'belongs'), '');
});

test('hundreds go a handful at a time, and each fault is told', async () => {
  const sizes = [];
  window.fetch = async (address, request) => {
    sizes.push(request.body.getAll('files').length);
    return { text: async () => `<ul class="fault"><li>${address} ${sizes.length}</li></ul>` };
  };
  const files = Array.from({ length: 45 }, (nothing, i) => new File(['x'], `${i}.png`));
  const told = [];
  const faults = await sendAll('/cast', files, (count) => told.push(count));
  equal(sizes.join(' '), '20 20 5');
  equal(told.join(' '), '20 40 45');
  equal(faults.join(', '), '/cast 1, /cast 2, /cast 3');
});
