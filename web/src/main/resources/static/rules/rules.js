// Up and down walk through the acts or the rules, Enter accepts what is proposed, M turns an act.
(() => {
  const acts = [...document.querySelectorAll('.act')];
  const rows = acts.length ? acts : [...document.querySelectorAll('.strips tr')];
  const target = (row) => row?.querySelector('.sentence, a');
  const shown = () => rows.filter((row) => !row.hidden);

  const turn = (act) => {
    const button = act.querySelector('.sentence');
    const open = button.getAttribute('aria-expanded') !== 'true';
    button.setAttribute('aria-expanded', String(open));
    act.querySelector('.open').hidden = !open;
    act.classList.toggle('open-now', open);
  };
  acts.forEach((act) => act.querySelector('.sentence').addEventListener('click', () => turn(act)));

  const find = document.getElementById('find');
  const always = document.getElementById('only-always');
  const filter = () => {
    const wanted = find.value.trim().toLowerCase();
    for (const act of acts) {
      const fits = act.textContent.toLowerCase().includes(wanted);
      act.hidden = !fits || (always.checked && act.dataset.strength !== 'always');
    }
  };
  find?.addEventListener('input', filter);
  always?.addEventListener('change', filter);

  document.addEventListener('keydown', (event) => {
    if (window.penMirror.typing(event) || event.ctrlKey || event.metaKey || event.altKey) return;
    const at = shown().findIndex((row) => row.contains(document.activeElement));
    if (['ArrowUp', 'ArrowDown'].includes(event.key)) {
      const list = shown();
      const next = list[Math.max(0, Math.min(list.length - 1, at + (event.key === 'ArrowDown' ? 1 : -1)))];
      target(next)?.focus();
      event.preventDefault();
    } else if (event.key === 'Enter' && document.activeElement === document.body) {
      document.getElementById('accept')?.click();
    } else if (event.key === 'm' && at >= 0) {
      shown()[at].querySelector('[data-turn]')?.click();
    } else if (event.key === '/') {
      find?.focus();
      event.preventDefault();
    }
  });
})();
