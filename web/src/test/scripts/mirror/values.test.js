import { Values } from '../mirror/values.js';
import { equal, test } from '../checks.js';

const page = (answer) => {
  document.body.innerHTML = `<button data-from="/values" data-none="Nothing yet">Values</button><svg><filter id="values">
    <feComponentTransfer><feFuncR type="discrete" tableValues="0 1"/><feFuncG type="discrete" tableValues="0 1"/>
    </feComponentTransfer></filter></svg>`;
  let asked = 0;
  window.fetch = async () => { asked++; return answer; };
  const button = document.querySelector('button');
  return { button, values: new Values(document.getElementById('values'), button), asked: () => asked };
};
const tables = () => [...document.querySelectorAll('[type="discrete"]')].map((part) => part.getAttribute('tableValues'));

test('the table is asked for once and goes to every colour', async () => {
  const { values, button, asked } = page({ ok: true, json: async () => ({ table: [0.1, 0.8] }) });
  equal(asked(), 0);
  equal(await values.ready(), true);
  equal(await values.ready(), true);
  equal(asked(), 1);
  equal(tables().join('|'), '0.1 0.8|0.1 0.8');
  equal(button.dataset.state, 'there');
});

test('without values it says so, and can be asked again', async () => {
  const { values, button, asked } = page({ ok: true, json: async () => ({ table: [] }) });
  equal(await values.ready(), false);
  equal(button.title, 'Nothing yet');
  equal(tables().join('|'), '0 1|0 1');
  await values.ready();
  equal(asked(), 2);
});

test('a lost answer leaves the picture as it is', async () => {
  const { values, button } = page({ ok: false, json: async () => { throw new Error('no'); } });
  equal(await values.ready(), false);
  equal(button.dataset.state, 'none');
});
