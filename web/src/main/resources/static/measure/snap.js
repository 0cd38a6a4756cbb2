// Where a point belongs near where it was put: the middle of a line, an edge, a corner. Looks at the
// picture's own pixels; only the place is changed, all readings still come from the server.
const REACH = 12;

/** Luma of a square of pixels round a place, or nothing before the picture has arrived. */
const around = (image, x, y, side) => {
  if (!image.complete || image.naturalWidth === 0) return null;
  const canvas = document.createElement('canvas');
  canvas.width = side;
  canvas.height = side;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  const left = Math.floor(x) - (side >> 1);
  const top = Math.floor(y) - (side >> 1);
  context.drawImage(image, left, top, side, side, 0, 0, side, side);
  const { data } = context.getImageData(0, 0, side, side);
  const luma = new Float32Array(side * side);
  for (let i = 0; i < luma.length; i++) {
    const alpha = data[4 * i + 3] / 255;
    luma[i] = (0.299 * data[4 * i] + 0.587 * data[4 * i + 1] + 0.114 * data[4 * i + 2]) * alpha + 255 * (1 - alpha);
  }
  return { luma, left, top, side };
};

/** Gradient and the matrix of its products over 5 x 5 pixels: one large root is an edge, two a corner. */
const structure = ({ luma, side }, x, y) => {
  let xx = 0;
  let xy = 0;
  let yy = 0;
  for (let dy = -2; dy <= 2; dy++) {
    for (let dx = -2; dx <= 2; dx++) {
      const i = (y + dy) * side + x + dx;
      const gx = (luma[i + 1] - luma[i - 1]) / 2;
      const gy = (luma[i + side] - luma[i - side]) / 2;
      xx += gx * gx;
      xy += gx * gy;
      yy += gy * gy;
    }
  }
  const mean = (xx + yy) / 2;
  const root = Math.sqrt(Math.max(0, ((xx - yy) / 2) ** 2 + xy * xy));
  return { large: mean + root, small: mean - root };
};

/** The middle of a line across it: between the last pixels on both sides that are still dark. */
const middle = ({ luma, side }, x, y, dx, dy, dark) => {
  const reach = (way) => {
    let steps = 0;
    while (steps < 3 && luma[(y + way * (steps + 1) * dy) * side + x + way * (steps + 1) * dx] < dark) steps += 1;
    return steps;
  };
  const off = (reach(1) - reach(-1)) / 2;
  return [x + off * dx, y + off * dy];
};

/**
 * @param image the whole picture
 * @param point pixels of the picture
 * @param reach pixels of the picture it may move
 * @returns the place with its kind, or the point itself where nothing is near
 */
export const snap = (image, point, reach) => {
  const far = Math.max(3, Math.min(REACH * 2, Math.round(reach)));
  const patch = around(image, point.x, point.y, 2 * far + 9);
  if (!patch) return { ...point, kind: '' };
  const { luma, side, left, top } = patch;
  const px = point.x - left - 0.5;
  const py = point.y - top - 0.5;
  const best = { corner: { value: 0 }, line: { value: 0 }, edge: { value: 0 } };
  const offer = (kind, value, x, y) => {
    if (value > best[kind].value) best[kind] = { value, x, y };
  };
  for (let y = 4; y < side - 4; y++) {
    for (let x = 4; x < side - 4; x++) {
      const away = Math.hypot(x - px, y - py);
      if (away > far) continue;
      const near = 1 - 0.6 * (away / far);
      const { large, small } = structure(patch, x, y);
      if (small > 2000) offer('corner', small * near, x, y);
      const i = y * side + x;
      const gx = (luma[i + 1] - luma[i - 1]) / 2;
      const gy = (luma[i + side] - luma[i - side]) / 2;
      const slope = Math.hypot(gx, gy);
      if (slope > 12 && large > 0) offer('edge', slope * near, x, y);
      // The middle of a line is darker than both sides, across it in some direction.
      for (const [dx, dy] of [[1, 0], [0, 1], [1, 1], [1, -1]]) {
        const one = luma[i + 3 * dx + 3 * dy * side];
        const other = luma[i - 3 * dx - 3 * dy * side];
        const depth = Math.min(one, other) - luma[i];
        if (depth > 30) offer('line', depth * near, ...middle(patch, x, y, dx, dy, luma[i] + depth / 2));
      }
    }
  }
  // A corner is the rarest and says the most; a line's middle says more than its edge.
  const kind = ['corner', 'line', 'edge'].find((name) => best[name].value > 0);
  if (!kind) return { ...point, kind: '' };
  return { x: best[kind].x + left + 0.5, y: best[kind].y + top + 0.5, kind };
};
