// A redraw that is dropped anywhere on a page, or pasted into it, is sent to the mirror.

import { carriesFiles } from './dropped.js';

/** @param {!HTMLInputElement} file the field of a form that takes one redraw */
export const takeRedraws = (file) => {
  const take = (files) => {
    if (files.length !== 1) return;
    file.files = files;
    file.form.requestSubmit();
  };
  document.addEventListener('dragover', (event) => { if (carriesFiles(event)) event.preventDefault(); });
  document.addEventListener('drop', (event) => {
    event.preventDefault();
    take(event.dataTransfer.files);
  });
  document.addEventListener('paste', (event) => {
    if (!event.target.closest('input, textarea')) take(event.clipboardData.files);
  });
};
