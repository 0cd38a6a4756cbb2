// What was dropped on a page or pasted into it: files, and the files of folders.

/**
 * @typedef {{name: string, files: !Array<!File>}}
 */
export let Dropped;

/** More files than these are more likely an accident than a collection. */
const MOST_FILES = 2000;

/**
 * @param {!FileSystemDirectoryReader} reader
 * @return {!Promise<!Array<!FileSystemEntry>>} the next entries of a folder; none at its end
 */
const some = (reader) => new Promise((resolve, reject) => { reader.readEntries(resolve, reject); });

/**
 * @param {!FileSystemEntry} entry
 * @param {!Array<!File>} files to add to
 */
const gather = async (entry, files) => {
  if (files.length >= MOST_FILES || entry.name.startsWith('.')) return;
  if (entry.isFile) {
    files.push(await new Promise((resolve, reject) => {
      /** @type {!FileSystemFileEntry} */ (entry).file(resolve, reject);
    }));
    return;
  }
  const reader = /** @type {!FileSystemDirectoryEntry} */ (entry).createReader();
  for (let found = await some(reader); found.length > 0; found = await some(reader)) {
    for (const inside of [...found].sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }))) {
      await gather(inside, files);
    }
  }
};

/**
 * Files and the files of folders, with the name of the folder where there is one.
 * @param {?DataTransfer|?ClipboardData|undefined} transfer as it was dropped or pasted
 * @return {!Promise<!Dropped>}
 */
export const dropped = async (transfer) => {
  // Entries are there only until the event has been handled: all are taken before the first wait.
  const entries = Array.from(transfer?.items ?? [], (item) => item.webkitGetAsEntry()).filter(Boolean);
  const plain = Array.from(transfer?.files ?? []);
  const folder = entries.find((entry) => entry.isDirectory);
  if (!folder) return { name: '', files: plain };
  const files = [];
  for (const entry of entries) await gather(entry, files);
  return { name: folder.name, files };
};

/**
 * Whether an event carries files.
 * @param {!Event} event of a drag
 * @return {boolean}
 */
export const carriesFiles = (event) => {
  const transfer = /** @type {!DragEvent} */ (event).dataTransfer;
  return transfer ? Array.from(transfer.types).includes('Files') : false;
};

/**
 * Hands over what is dropped anywhere on the page, or pasted beside a field.
 * @param {?Element} shown that says so while files hang over the page
 * @param {function(!Dropped)} take
 */
export const receive = (shown, take) => {
  document.addEventListener('dragover', (event) => {
    if (!carriesFiles(event)) return;
    event.preventDefault();
    shown?.classList.add('over');
  });
  document.addEventListener('dragleave', (event) => {
    if (/** @type {!DragEvent} */ (event).relatedTarget === null) shown?.classList.remove('over');
  });
  document.addEventListener('drop', async (event) => {
    event.preventDefault();
    shown?.classList.remove('over');
    take(await dropped(/** @type {!DragEvent} */ (event).dataTransfer));
  });
  document.addEventListener('paste', async (event) => {
    if (/** @type {!Element} */ (event.target).closest('input, textarea')) return;
    const pasted = await dropped(/** @type {!ClipboardEvent} */ (event).clipboardData);
    if (pasted.files.length) take(pasted);
  });
};
