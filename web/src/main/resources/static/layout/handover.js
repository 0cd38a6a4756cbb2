// Files on their way from one page to another: kept in the browser until they are sent, so that
// neither going to the wall nor closing the page in the middle loses any.

const DATABASE = 'pen-mirror';
const STORE = 'files';

/** @return {!Promise<!IDBDatabase>} */
const open = () => new Promise((resolve, reject) => {
  const request = indexedDB.open(DATABASE, 1);
  request.onupgradeneeded = () => request.result.createObjectStore(STORE, { autoIncrement: true });
  request.onsuccess = () => resolve(request.result);
  request.onerror = () => reject(request.error);
});

/**
 * @param {string} mode
 * @param {function(!IDBObjectStore)} work
 * @return {!Promise<undefined>} settled once all of it is kept
 */
const within = async (mode, work) => {
  const database = await open();
  try {
    await new Promise((resolve, reject) => {
      const transaction = database.transaction(STORE, mode);
      transaction.oncomplete = () => resolve(undefined);
      transaction.onerror = () => reject(transaction.error);
      transaction.onabort = () => reject(transaction.error);
      work(transaction.objectStore(STORE));
    });
  } finally {
    database.close();
  }
};

/**
 * @param {string} where the address the files are for
 * @param {!Array<!File>} files
 * @return {!Promise<undefined>}
 */
export const handOver = (where, files) =>
  within('readwrite', (store) => files.forEach((file) => store.add({ where, file, name: file.name })));

/**
 * The files that wait for an address; they go on waiting until each is let go.
 * @param {string} where
 * @return {!Promise<!Array<{key: number, file: !File}>>}
 */
export const handedOver = async (where) => {
  const found = [];
  await within('readonly', (store) => {
    const request = store.openCursor();
    request.onsuccess = () => {
      const cursor = request.result;
      if (!cursor) return;
      if (cursor.value.where === where) {
        const { file, name } = cursor.value;
        found.push({ key: cursor.key, file: file.name ? file : new File([file], name) });
      }
      cursor.continue();
    };
  });
  return found;
};

/**
 * @param {number} key of a file that was sent or is not wanted any more
 * @return {!Promise<undefined>}
 */
export const letGo = (key) => within('readwrite', (store) => { store.delete(key); });
