// What every page's script needs.

/**
 * @param {string} name of a meta element of the page
 * @return {string}
 */
const meta = (name) => document.querySelector(`meta[name="${name}"]`)?.getAttribute('content') ?? '';

/**
 * Headers that every changing request must carry.
 * @return {!Object<string, string>}
 */
export const headers = () => ({ [meta('csrf-header')]: meta('csrf-token') });

/**
 * Whether single letters work as keys.
 * @return {boolean}
 */
export const lettersOn = () => localStorage.getItem('pen-mirror-letters') !== 'off';

/**
 * Whether a key belongs to what somebody types.
 * @param {!Event} event of a key
 * @return {boolean}
 */
export const typing = (event) => {
  const key = /** @type {!KeyboardEvent} */ (event);
  return key.ctrlKey || key.metaKey || key.altKey ||
    /** @type {!Element} */ (event.target).closest('input:not([type=range]), textarea, select, dialog[open]') !== null;
};

/**
 * A text with its places {0}, {1} filled.
 * @param {string} text
 * @param {...(string|number)} values
 * @return {string}
 */
export const fill = (text, ...values) =>
  values.reduce((/** string */ filled, value, i) => filled.replace(`{${i}}`, String(value)), text);
