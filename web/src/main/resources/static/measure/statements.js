// Ticking statements by keyboard or pointer: each answer is kept at once.

import { headers, lettersOn, typing } from '../layout/studio.js';

(() => {
  const table = document.getElementById('statements');
  if (!table) return;
  const rows = [...table.querySelectorAll('tr[data-key]')];
  const ticked = document.getElementById('ticked');

  const show = (row, answer) => {
    row.dataset.answer = answer;
    row.querySelectorAll('button').forEach((button) => button.setAttribute('aria-pressed', String(button.dataset.answer === answer)));
  };

  const answer = async (row, wanted) => {
    const before = row.dataset.answer ?? '';
    const next = before === wanted ? '' : wanted;
    show(row, next);
    try {
      const reply = await fetch(table.dataset.url + row.dataset.key, {
        method: 'POST', headers: { 'Content-Type': 'application/x-www-form-urlencoded', ...headers() }, body: new URLSearchParams({ answer: next }),
      });
      if (!reply.ok) throw new Error(String(reply.status));
      ticked.textContent = ticked.dataset.kept;
    } catch {
      show(row, before);
      ticked.textContent = ticked.dataset.failed;
    }
  };

  table.addEventListener('click', (event) => {
    const button = event.target.closest('button[data-answer]');
    if (button) answer(button.closest('tr'), button.dataset.answer);
  });
  const ANSWERS = { y: 'yes', n: 'no', t: 'unclear' };
  document.addEventListener('keydown', (event) => {
    if (typing(event)) return;
    const at = rows.indexOf(document.activeElement?.closest('tr[data-key]'));
    const letter = ANSWERS[event.key.toLowerCase()];
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      rows[Math.max(0, Math.min(rows.length - 1, at + (event.key === 'ArrowDown' ? 1 : -1)))].focus();
    } else if (letter && at >= 0 && lettersOn()) {
      answer(rows[at], letter);
      rows[Math.min(rows.length - 1, at + 1)].focus();
    } else {
      return;
    }
    event.preventDefault();
  });
})();
