// A redraw that is dropped anywhere on a page, or pasted into it, is sent to the mirror.

import { receive } from './dropped.js';

/** @param {!HTMLInputElement} file the field of a form that takes one redraw */
export const takeRedraws = (file) => receive(null, ({ files }) => {
  if (files.length !== 1) return;
  const one = new DataTransfer();
  one.items.add(files[0]);
  file.files = one.files;
  file.form.requestSubmit();
});
