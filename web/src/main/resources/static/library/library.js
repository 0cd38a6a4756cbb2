// B begins a study.
document.addEventListener('keydown', (event) => {
  if (event.key.toLowerCase() !== 'b' || window.penMirror.typing(event) || !window.penMirror.lettersOn()) return;
  document.querySelector('.top a[href$="/studies/new"]')?.click();
});
