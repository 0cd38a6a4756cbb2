// Pictures dropped or pasted go the same way as chosen ones. Arrows walk along the wall.
(() => {
  const form = document.getElementById('take');
  const input = document.getElementById('files');
  const work = () => document.getElementById('work');

  const send = (files) => {
    const pictures = new DataTransfer();
    [...files].forEach((file) => pictures.items.add(file));
    if (pictures.files.length === 0) return;
    input.files = pictures.files;
    form.requestSubmit();
  };

  document.addEventListener('dragover', (event) => {
    if (!event.dataTransfer?.types.includes('Files')) return;
    event.preventDefault();
    work().classList.add('over');
  });
  document.addEventListener('dragleave', (event) => {
    if (event.relatedTarget === null) work().classList.remove('over');
  });
  document.addEventListener('drop', (event) => {
    event.preventDefault();
    work().classList.remove('over');
    send(event.dataTransfer.files);
  });
  document.addEventListener('paste', (event) => {
    if (event.target.closest('input, textarea')) return;
    send(event.clipboardData.files);
  });

  form.addEventListener('htmx:xhr:progress', (event) => {
    const note = document.querySelector('.progress-note');
    if (!note || !event.detail.total) return;
    note.hidden = false;
    note.querySelector('span').textContent = document.getElementById('gather').dataset.upload;
    note.querySelector('progress').value = (100 * event.detail.loaded) / event.detail.total;
  });
  form.addEventListener('htmx:afterRequest', () => form.reset());

  document.addEventListener('keydown', (event) => {
    if (window.penMirror.typing(event)) return;
    const tiles = [...document.querySelectorAll('.tile')];
    const at = tiles.indexOf(document.activeElement);
    if (event.key === 'ArrowRight' || event.key === 'ArrowLeft') {
      const step = event.key === 'ArrowRight' ? 1 : -1;
      tiles[Math.max(0, Math.min(tiles.length - 1, at + step))]?.focus();
      event.preventDefault();
    } else if (event.key === 'Enter' && at >= 0) {
      window.location.href = tiles[at].dataset.bench;
      event.preventDefault();
    } else if (event.key.toLowerCase() === 'a' && window.penMirror.lettersOn()) {
      input.click();
    }
  });
})();
