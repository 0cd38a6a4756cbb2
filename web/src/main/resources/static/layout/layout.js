// What every page needs: keys for the stages, the key list, tokens for htmx, forms sent once.
(() => {
  const meta = (name) => document.querySelector(`meta[name="${name}"]`)?.content ?? '';

  /** Headers that every changing request must carry. */
  window.penMirror = {
    headers: () => ({ [meta('csrf-header')]: meta('csrf-token') }),
    lettersOn: () => localStorage.getItem('pen-mirror-letters') !== 'off',
    typing: (event) =>
      event.ctrlKey || event.metaKey || event.altKey ||
      event.target.closest('input:not([type=range]), textarea, select, dialog[open]') !== null,
  };

  document.body.addEventListener('htmx:configRequest', (event) => {
    Object.assign(event.detail.headers, window.penMirror.headers());
  });

  document.addEventListener('keydown', (event) => {
    if (window.penMirror.typing(event) || !window.penMirror.lettersOn()) return;
    if (event.key === '?') {
      document.getElementById('keys')?.showModal();
    } else if (/^[1-5]$/.test(event.key) && !event.shiftKey) {
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
    const on = window.penMirror.lettersOn();
    letters.textContent = on ? letters.dataset.off : letters.dataset.on;
    letters.setAttribute('aria-pressed', String(!on));
  };
  if (letters) {
    showLetters();
    letters.addEventListener('click', () => {
      localStorage.setItem('pen-mirror-letters', window.penMirror.lettersOn() ? 'off' : 'on');
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
})();
