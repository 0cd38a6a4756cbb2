// Pictures that are dropped, pasted or chosen begin a study; B begins one without.

import { receive } from '../layout/dropped.js';
import { handOver } from '../layout/handover.js';
import { renew } from '../layout/renewed.js';
import { headers, lettersOn, typing } from '../layout/studio.js';

const form = document.getElementById('begin-dropped');
const fault = document.getElementById('drop-fault');
const work = document.getElementById('work');
let isBeginning = false;

const tell = (text) => {
  fault.textContent = text;
  fault.hidden = text === '';
};

/** @param {{name: string, files: !Array<!File>}} pictures and the folder they lie in, if in one */
const begin = async ({ name: folder, files }) => {
  const name = folder || shared(files);
  if (files.length === 0) { tell(form.dataset.nothing); return; }
  if (isBeginning) return;
  isBeginning = true;
  tell('');
  work.classList.add('beginning');
  try {
    const answer = await fetch(form.action, {
      method: 'POST',
      headers: { Accept: 'application/json', ...headers() },
      body: new URLSearchParams({ name, once: form.elements.once.value }),
    });
    if (!answer.ok) throw new Error(String(answer.status));
    const { 'wall': wall } = await answer.json();
    await handOver(wall, files);
    window.location.href = wall;
  } catch {
    tell(form.dataset.lost);
    isBeginning = false;
    work.classList.remove('beginning');
  }
};

form?.addEventListener('submit', (event) => event.preventDefault());
/** What the names of several files begin with; that of one alone. */
const shared = (files) => {
  const names = files.map((file) => file.name);
  let most = names[0] ?? '';
  names.forEach((name) => { while (!name.startsWith(most)) most = most.slice(0, -1); });
  const word = most.replace(/[-_ .\d]+$/, '');
  return names.length > 1 && word.length >= 3 ? word : names.length > 1 ? '' : names[0] ?? '';
};
document.getElementById('pictures')?.addEventListener('change', (event) => {
  const files = [...event.target.files];
  begin({ name: files[0]?.webkitRelativePath?.split('/')[0] ?? '', files });
});
receive(work, begin);
document.addEventListener('keydown', (event) => {
  if (typing(event) || !lettersOn()) return;
  const letter = event.key.toLowerCase();
  if (letter === 'b') document.querySelector('a[href$="/studies/new"]')?.click();
  else if (letter === 'a') document.getElementById('pictures')?.click();
  else if (letter === 'd') document.querySelector('#open-demo button')?.click();
});
// Studies that came while the demo is drawn are shown as they come.
const drawing = document.getElementById('drawing');
if (drawing) setInterval(renew, Number(drawing.dataset.again));
