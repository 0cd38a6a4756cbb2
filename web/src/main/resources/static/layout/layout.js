// What every page needs: keys for the stages, the key list, tokens for htmx, forms sent once.
import { headers, lettersOn, typing } from './studio.js';

document.body.addEventListener('htmx:configRequest', (event) => {
  Object.assign(event.detail.headers, headers());
});

document.addEventListener('keydown', (event) => {
  if (typing(event) || !lettersOn()) return;
  if (event.key === '?') {
    document.getElementById('keys')?.showModal();
  } else if (/^[1-6]$/.test(event.key) && !event.shiftKey) {
    document.querySelector(`.rail a[data-key="${event.key}"]`)?.click();
  }
});

document.addEventListener('click', (event) => {
  const opens = event.target.closest('[data-opens]');
  const closes = event.target.closest('[data-closes]');
  if (opens) document.getElementById(opens.dataset.opens)?.showModal();
  if (closes) document.getElementById(closes.dataset.closes)?.close();
});

const letters = document.getElementById('letters');
const showLetters = () => {
  const on = lettersOn();
  letters.textContent = on ? letters.dataset.off : letters.dataset.on;
  letters.setAttribute('aria-pressed', String(!on));
};
if (letters) {
  showLetters();
  letters.addEventListener('click', () => {
    localStorage.setItem('pen-mirror-letters', lettersOn() ? 'off' : 'on');
    showLetters();
  });
}

// A double click must not begin two studies or take a redraw in twice.
document.addEventListener('submit', (event) => {
  const form = event.target;
  if (form.hasAttribute('hx-post')) return;
  if (form.dataset.sent) {
    event.preventDefault();
    return;
  }
  form.dataset.sent = 'yes';
});
window.addEventListener('pageshow', () => {
  document.querySelectorAll('form[data-sent]').forEach((form) => delete form.dataset.sent);
});

// A chosen file is sent at once where the form says so.
document.addEventListener('change', (event) => {
  const form = event.target.closest('form[data-sends-on-choice]');
  if (!form) return;
  const isFile = event.target.type === 'file';
  if (!isFile || event.target.files.length > 0) form.requestSubmit();
});
