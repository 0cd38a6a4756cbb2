// Hue, saturation and brightness, as pickers count them, to a colour of the page.

/**
 * @param {number} hue degrees
 * @param {number} saturation percent
 * @param {number} brightness percent
 * @return {string} such as rgb(240, 203, 166)
 */
export const picked = (hue, saturation, brightness) => {
  const light = brightness / 100;
  const span = light * saturation / 100;
  const channel = (offset) => {
    const k = (offset + hue / 60) % 6;
    return Math.round(255 * (light - span * Math.max(0, Math.min(k, 4 - k, 1))));
  };
  return `rgb(${channel(5)}, ${channel(3)}, ${channel(1)})`;
};
