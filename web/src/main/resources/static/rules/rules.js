// Up and down walk through the rules, from dot to dot.
document.addEventListener('keydown', (event) => {
  if (window.penMirror.typing(event) || !['ArrowUp', 'ArrowDown'].includes(event.key)) return;
  const rows = [...document.querySelectorAll('.strips tr')];
  const at = rows.findIndex((row) => row.contains(document.activeElement));
  const next = rows[Math.max(0, Math.min(rows.length - 1, at + (event.key === 'ArrowDown' ? 1 : -1)))];
  next?.querySelector('a')?.focus();
  event.preventDefault();
});
