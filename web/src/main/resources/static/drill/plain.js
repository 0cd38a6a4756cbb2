// A proportion on a plain head or figure, as paths of a picture of 200 by 240.

const TOP = 10;
const TALL = 220;
const MIDDLE = 100;

/** How wide a plain head is, of its height. */
const HEAD_WIDE = 0.72;

/** Half the width of the plain face. */
const FACE = TALL * HEAD_WIDE / 2;

/** How wide a plain opening is drawn. */
const OPENING = 100;

const oval = (x, y, wide, high) => `M${x - wide} ${y}a${wide} ${high} 0 1 0 ${2 * wide} 0a${wide} ${high} 0 1 0 ${-2 * wide} 0z`;

const head = () => oval(MIDDLE, TOP + TALL / 2, FACE, TALL / 2);

/**
 * What stays while one looks for the proportion.
 *
 * @param {string} shape
 * @return {string}
 */
export const frame = (shape) => {
  switch (shape) {
    case 'height':
    case 'width':
      return head();
    case 'opening':
      return `M${MIDDLE - OPENING / 2} 20V220M${MIDDLE + OPENING / 2} 20V220`;
    default:
      return `M40 ${TOP}H160M40 ${TOP + TALL}H160`;
  }
};

/**
 * The proportion itself.
 *
 * @param {string} shape
 * @param {number} value in the unit of its measure
 * @return {string}
 */
export const mark = (shape, value) => {
  const round = (number) => Math.round(number * 10) / 10;
  switch (shape) {
    case 'height':
      return `M14 ${round(TOP + TALL * value)}H186`;
    case 'width': {
      const half = round(FACE * value);
      return `M${MIDDLE - half} 112V136M${MIDDLE + half} 112V136M${MIDDLE - half} 124H${MIDDLE + half}`;
    }
    case 'opening':
      return oval(MIDDLE, TOP + TALL / 2, OPENING / 2, round(OPENING * value / 2));
    case 'heads': {
      const high = round(TALL / value);
      return `${oval(MIDDLE, TOP + high / 2, round(high * HEAD_WIDE / 2), high / 2)}M${MIDDLE} ${TOP + high}V${TOP + TALL}`;
    }
    default: {
      const crotch = round(TOP + TALL * (1 - value));
      return `M${MIDDLE} ${TOP}V${crotch}M${MIDDLE} ${crotch}L70 ${TOP + TALL}M${MIDDLE} ${crotch}L130 ${TOP + TALL}`;
    }
  }
};
