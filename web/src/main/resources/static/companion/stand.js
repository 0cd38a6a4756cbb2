// Where a figure stands in a picture. A stand is never changed, moves make a new one; no page is
// known here, so all of it runs without one.

/**
 * In pixels of the picture, as the server has it.
 * @typedef {{x: number, ground: number, scale: number, mirrored: boolean, behind: boolean}}
 */
export let Stand;

/**
 * A cut-out in pixels of its own picture; `below` from its top to where it stands.
 * @typedef {{width: number, height: number, below: number}}
 */
export let Cut;

/** Of a head, for one step; ten times as far with Shift. */
const STEP = 0.01;
const LARGER = 1.02;

/**
 * @param {!Stand} stand
 * @param {!Cut} cut
 * @return {{x: number, y: number, width: number, height: number}}
 */
export const placed = (stand, cut) => ({
  x: stand.x - cut.width * stand.scale / 2,
  y: stand.ground - cut.below * stand.scale,
  width: cut.width * stand.scale,
  height: cut.height * stand.scale,
});

/**
 * As SVG writes it; empty where it is not turned about.
 * @param {!Stand} stand
 * @return {string}
 */
export const turn = (stand) => (stand.mirrored ? `matrix(-1 0 0 1 ${2 * stand.x} 0)` : '');

/**
 * @param {!Stand} stand
 * @param {!Object} change what is otherwise
 * @return {!Stand}
 */
const having = (stand, change) => /** @type {!Stand} */ (Object.assign({}, stand, change));

/**
 * @param {!Stand} stand
 * @param {number} dx
 * @param {number} dy
 * @return {!Stand}
 */
export const moved = (stand, dx, dy) => having(stand, { x: stand.x + dx, ground: stand.ground + dy });

/**
 * Larger by a factor above one; where it stands stays.
 * @param {!Stand} stand
 * @param {number} factor
 * @return {!Stand}
 */
export const sized = (stand, factor) => having(stand, { scale: stand.scale * factor });

/**
 * What a key does to it; null where it does nothing.
 * @param {!Stand} stand
 * @param {string} key
 * @param {boolean} far
 * @param {number} head pixels of the picture
 * @return {?Stand}
 */
export const keyed = (stand, key, far, head) => {
  const step = head * STEP * (far ? 10 : 1);
  switch (key.toLowerCase()) {
    case 'arrowleft': return moved(stand, -step, 0);
    case 'arrowright': return moved(stand, step, 0);
    case 'arrowup': return moved(stand, 0, -step);
    case 'arrowdown': return moved(stand, 0, step);
    case '+': case '=': return sized(stand, LARGER);
    case '-': case '_': return sized(stand, 1 / LARGER);
    case 'f': return having(stand, { mirrored: !stand.mirrored });
    case 'b': return having(stand, { behind: !stand.behind });
    default: return null;
  }
};
