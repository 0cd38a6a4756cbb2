// Y, N and T answer for the work in focus and go on to the next; a press on the same answer takes it away.

import { headers, lettersOn, typing } from '../layout/studio.js';

const wall = document.getElementById('work');
const tally = document.getElementById('tally');
const kept = document.getElementById('kept');
const crops = [...wall.querySelectorAll('.crop')];

const show = (crop, answer) => {
  crop.dataset.answer = answer;
  crop.querySelectorAll('[data-says]').forEach((button) => button.setAttribute('aria-pressed', String(button.dataset.says === answer)));
};
// One after another: the tally that comes last must be the newest.
let before = Promise.resolve();
const say = (crop, answer) => {
  const was = crop.dataset.answer;
  show(crop, answer);
  before = before.then(() => send(crop, answer, was));
};
const send = async (crop, answer, was) => {
  try {
    const response = await fetch(wall.dataset.answers + crop.dataset.work, {
      method: 'POST',
      headers: headers(),
      body: new URLSearchParams({ answer }),
    });
    if (!response.ok) throw new Error(String(response.status));
    tally.innerHTML = await response.text();
    kept.textContent = kept.dataset.kept;
  } catch {
    show(crop, was);
    kept.textContent = kept.dataset.failed;
  }
};
const next = (crop, step) => crops[Math.max(0, Math.min(crops.length - 1, crops.indexOf(crop) + step))]?.focus();

wall.addEventListener('click', (event) => {
  const button = event.target.closest('[data-says]');
  if (!button) return;
  const crop = button.closest('.crop');
  say(crop, crop.dataset.answer === button.dataset.says ? '' : button.dataset.says);
});
document.addEventListener('keydown', (event) => {
  if (typing(event)) return;
  const crop = document.activeElement.closest('.crop') ?? null;
  const answers = { y: 'yes', n: 'no', t: 'unclear' };
  const answer = lettersOn() ? answers[event.key.toLowerCase()] : undefined;
  if (event.key === 'ArrowRight' || event.key === 'ArrowLeft') {
    if (crop) next(crop, event.key === 'ArrowRight' ? 1 : -1);
    else crops[0]?.focus();
  } else if (answer) {
    const on = crop ?? crops.find((each) => !each.dataset.answer);
    if (!on) return;
    say(on, on.dataset.answer === answer ? '' : answer);
    next(on, 1);
  } else {
    return;
  }
  event.preventDefault();
});
