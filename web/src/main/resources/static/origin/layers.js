// What readings were read from, drawn over a picture: told by origin.json of a work. Used where a
// work is looked at alone and where two are held against each other.

import { fill } from '../layout/studio.js';
import { make } from '../layout/svg.js';

// Hairlines are drawn a little wider than they are, so that their colour can be seen.
// Thin to thick, pale to dark: no hue of the rule (blue) or of a miss (red).
const RAMP = ['#E9C46A', '#E0A24F', '#CF7F4B', '#B25E55', '#8A4560', '#5D3463', '#2E2150'];
const OUTLINE = '#5D3A63';
const INNER = '#EBC069';
const PARTS = [null, '#EBC069', '#8E5460', '#5D7A4E', '#4E6A7A', '#D99A55'];

/** One picture's evidence and the two nodes it is drawn into. */
export class Evidence {
  /** @param head length of the marked head in px, 0 where none is marked */
  constructor(width, height, parent, head) {
    this.width = width;
    this.height = height;
    this.head = head;
    /** What origin.json of the work tells. @type {?} */
    this.origin = null;
    /** Of the cells of a map, once one was laid. @type {?} */
    this.scale = null;
    this.veil = make('rect', { class: 'veil', width, height, fill: '#fff', 'fill-opacity': 0 }, parent);
    this.over = make('g', {}, parent);
  }

  async load(url) {
    const reply = await fetch(url, { cache: 'no-store' });
    if (!reply.ok) throw new Error(String(reply.status));
    this.origin = await reply.json();
    this.scale = null;
  }

  /** Unpacks a map; cells row by row. */
  map(name) {
    const { grid, maps } = this.origin;
    const cells = new Uint8Array(grid.width * grid.height);
    const runs = maps[name] || [];
    for (let r = 0, at = 0; r < runs.length; r += 2) {
      cells.fill(Math.min(255, runs[r]), at, at + runs[r + 1]);
      at += runs[r + 1];
    }
    return cells;
  }

  /** Lays a map over the picture; colour(value) gives [r, g, b, a] or nothing. */
  paint(name, colour) {
    const { grid } = this.origin;
    const cells = this.map(name);
    const canvas = document.createElement('canvas');
    canvas.width = grid.width;
    canvas.height = grid.height;
    const image = canvas.getContext('2d').createImageData(grid.width, grid.height);
    const known = new Map();
    for (let i = 0; i < cells.length; i++) {
      if (!known.has(cells[i])) known.set(cells[i], colour(cells[i]) || [0, 0, 0, 0]);
      image.data.set(known.get(cells[i]), 4 * i);
    }
    canvas.getContext('2d').putImageData(image, 0, 0);
    make('image', { class: 'map', href: canvas.toDataURL(), width: this.width, height: this.height, preserveAspectRatio: 'none' }, this.over);
  }

  clear(veil) {
    this.over.replaceChildren();
    this.veil.setAttribute('fill-opacity', veil);
  }

  /** Strokes as short pieces, each with the colour its own width or kind gives. */
  ribbons(colour, chosen = () => true) {
    const paths = new Map();
    for (const stroke of this.origin.strokes || []) {
      const p = stroke.p;
      for (let i = 0; i + 1 < stroke.k.length; i++) {
        const [x, y, w, x2, y2] = [p[3 * i], p[3 * i + 1], p[3 * i + 2], p[3 * i + 3], p[3 * i + 4]];
        if (!chosen(stroke.k[i]) || Math.abs(x - x2) + Math.abs(y - y2) > 400) continue;
        const wide = Math.max(Math.round(Math.max(this.width, this.height) / 45), Math.round(w / 5) * 5);
        const key = `${colour(w / 10, stroke.k[i])} ${wide}`;
        if (!paths.has(key)) paths.set(key, []);
        paths.get(key).push(`M${x / 10} ${y / 10}L${x2 / 10} ${y2 / 10}`);
      }
    }
    for (const [key, pieces] of paths) {
      const [stroke, wide] = key.split(' ');
      make('path', { d: pieces.join(''), stroke, 'stroke-width': Number(wide) / 10, fill: 'none', 'stroke-linecap': 'round' }, this.over);
    }
  }
}

export const rgba = (hex, alpha) => [parseInt(hex.slice(1, 3), 16), parseInt(hex.slice(3, 5), 16), parseInt(hex.slice(5, 7), 16), alpha];

/** Widths of all stroke points, sorted. */
const widths = (origin) => {
  const all = [];
  for (const stroke of origin.strokes || []) for (let i = 2; i < stroke.p.length; i += 3) all.push(stroke.p[i] / 10);
  return all.sort((a, b) => a - b);
};
const quantile = (sorted, share) => sorted.length ? sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] : 0;

/** What the colours mean, drawn beside. The words are the data of a node. */
export class Legend {
  constructor(svg, words) {
    this.svg = svg;
    this.words = words;
  }

  clear() {
    this.svg.replaceChildren();
    this.tall(0);
  }

  tall(height) {
    this.svg.setAttribute('viewBox', `0 0 212 ${height}`);
    this.svg.setAttribute('height', height);
  }

  text(x, y, words, anchor = 'start') {
    make('text', { x, y, 'text-anchor': anchor }, this.svg).textContent = words;
  }

  keys(entries) {
    this.clear();
    entries.forEach(([colour, words], i) => {
      make('rect', { x: 0, y: 4 + 18 * i, width: 22, height: 11, fill: colour, stroke: '#868276', 'stroke-width': colour === 'none' ? 1 : 0 }, this.svg);
      this.text(30, 14 + 18 * i, words);
    });
    this.tall(6 + 18 * entries.length);
  }

  word(key) { return this.words.dataset[key]; }
}

// Each draws one layer of an evidence; `first` gives the scale, a legend is drawn where given.
export const layers = {
  figure(p) {
    p.clear(0);
    p.paint('figure', (v) => v ? null : [94, 94, 94, 200]);
  },
  weight(p, first, legend) {
    p.clear(0.72);
    const all = first.scale || (first.scale = widths(first.origin));
    const [low, high] = [quantile(all, 0.02), quantile(all, 0.98)];
    // Another picture is drawn to the scale of the first: by their heads where both are marked.
    const like = p !== first && p.head && first.head ? first.head / p.head : 1;
    const step = (own) => { const w = own * like; return RAMP[Math.max(0, Math.min(RAMP.length - 1, Math.floor((w - low) / Math.max(0.001, high - low) * RAMP.length)))]; };
    p.ribbons(step);
    if (legend) {
      legend.clear();
      RAMP.forEach((colour, i) => make('rect', { x: 30 * i, y: 14, width: 30, height: 12, fill: colour }, legend.svg));
      [0, 0.5, 1].forEach((share, i) => {
        const px = low + share * (high - low);
        const anchor = ['start', 'middle', 'end'][i];
        legend.text(210 * share, 10, `${px.toFixed(1)} px`, anchor);
      });
      legend.tall(30);
    }
  },
  outline(p, first, legend) {
    p.clear(0.72);
    p.ribbons((w, kind) => kind === 'o' ? OUTLINE : INNER);
    if (legend) legend.keys([[OUTLINE, legend.word('outline')], [INNER, legend.word('inner')]]);
  },
  black(p, first, legend) {
    p.clear(0.72);
    p.paint('black', (v) => v ? rgba('#5D3A63', 235) : null);
    if (legend) legend.keys([['#5D3A63', legend.word('black')]]);
  },
  hatching(p, first, legend) {
    p.clear(0.72);
    p.ribbons((w, kind) => kind === 'h' ? OUTLINE : '#CDC9BD');
    if (legend) legend.keys([[OUTLINE, legend.word('hatch')], ['#CDC9BD', legend.word('other')]]);
  },
  values(p, first, legend) {
    p.clear(0);
    const tones = [null, '#33244F', '#D99A55', '#F4E3A1'];
    p.paint('tone', (v) => v ? rgba(tones[v], 225) : [118, 118, 118, 225]);
    if (legend) legend.keys([[tones[3], legend.word('highlight')], [tones[2], legend.word('base')], [tones[1], legend.word('shadow')]]);
  },
  edges(p, first, legend) {
    p.clear(0.72);
    const unit = Math.max(p.width, p.height) / 400;
    const groups = { hard: [], soft: [] };
    for (const [x, y, lx, ly, w, hard] of p.origin.borders) {
      const half = Math.max(unit, w / 20);
      groups[hard ? 'hard' : 'soft'].push(`M${x - lx * half / 100} ${y - ly * half / 100}L${x + lx * half / 100} ${y + ly * half / 100}`);
    }
    make('path', { d: groups.soft.join(''), stroke: '#D99A55', 'stroke-width': unit, fill: 'none' }, p.over);
    make('path', { d: groups.hard.join(''), stroke: '#33244F', 'stroke-width': 1.4 * unit, fill: 'none' }, p.over);
    if (legend) legend.keys([['#33244F', legend.word('hard')], ['#D99A55', legend.word('soft')]]);
  },
  light(p, first, legend) {
    layers.values(p, first, null);
    if (legend) legend.clear();
    if (!p.origin.light) return;
    const { degrees, spread } = p.origin.light;
    const r = Math.min(p.width, p.height) * 0.42;
    const [cx, cy] = [p.width / 2, p.height / 2];
    const at = (angle, length) => [cx + length * Math.sin(angle * Math.PI / 180), cy - length * Math.cos(angle * Math.PI / 180)];
    for (const share of [-1, -0.5, 0, 0.5, 1]) {
      const angle = degrees + share * Math.min(90, spread);
      const [x1, y1] = at(angle, r);
      const [x2, y2] = at(angle, r * (share === 0 ? 0.35 : 0.55));
      make('path', { d: `M${x1} ${y1}L${x2} ${y2}`, stroke: '#fff', 'stroke-width': r / (share === 0 ? 28 : 60), 'stroke-opacity': 0.9 }, p.over);
      if (share === 0) {
        const [ax, ay] = at(angle - 9, r * 0.45);
        const [bx, by] = at(angle + 9, r * 0.45);
        make('path', { d: `M${x2} ${y2}L${ax} ${ay}L${bx} ${by}z`, fill: '#fff' }, p.over);
      }
    }
    const hour = Math.round(((degrees % 360) + 360) % 360 / 30) || 12;
    if (legend) {
      legend.text(0, 12, fill(legend.word('clock'), hour, Math.round(degrees)));
      legend.tall(18);
    }
  },
  colours(p, first, legend) {
    p.clear(0);
    const hexes = p.origin.swatches;
    p.paint('colour', (v) => v ? rgba(hexes[v - 1].hex, 255) : [118, 118, 118, 255]);
    if (legend) plots(p, legend);
  },
  accents(p, first, legend) {
    p.clear(0.8);
    const lit = new Set(p.origin.accents.map((a) => a + 1));
    p.paint('colour', (v) => lit.has(v) ? rgba(p.origin.swatches[v - 1].hex, 255) : null);
    if (legend) legend.keys(p.origin.accents.length ? p.origin.accents.map((a) => [p.origin.swatches[a].hex, p.origin.swatches[a].hex]) : [['none', legend.word('noaccent')]]);
  },
  steps(p, first, legend) {
    p.clear(0.82);
    p.paint('step', (v) => v ? rgba(RAMP[Math.min(RAMP.length - 1, Math.floor((v - 1) * RAMP.length / 9))], 255) : null);
    if (legend) {
      legend.clear();
      RAMP.forEach((colour, i) => make('rect', { x: 30 * i, y: 0, width: 30, height: 12, fill: colour }, legend.svg));
      legend.text(0, 25, legend.word('faint'));
      legend.text(210, 25, legend.word('strong'), 'end');
      legend.tall(30);
    }
  },
  parts(p, first, legend) {
    p.clear(0.5);
    p.paint('part', (v) => v ? rgba(PARTS[v], 190) : null);
    if (legend) legend.keys(['face', 'feature', 'hair', 'cloth', 'skin'].map((name, i) => [PARTS[i + 1], legend.word(name)]));
  },
  limbs(p, first, legend) {
    layers.figure(p);
    const unit = Math.max(p.width, p.height) / 300;
    const ends = p.origin.limbs;
    for (let i = 0; i < ends.length; i += 4) {
      make('path', { d: `M${ends[i]} ${ends[i + 1]}L${ends[i + 2]} ${ends[i + 3]}`, stroke: OUTLINE, 'stroke-width': 1.6 * unit, fill: 'none' }, p.over);
      for (const at of [i, i + 2]) make('circle', { cx: ends[at], cy: ends[at + 1], r: 1.6 * unit, fill: '#fff', stroke: OUTLINE, 'stroke-width': 0.6 * unit }, p.over);
    }
    if (legend) legend.clear();
  },
  irises(p, first, legend) {
    p.clear(0);
    const unit = Math.max(p.width, p.height) / 600;
    for (const circles of p.origin.irises) {
      for (let i = 0; i < circles.length; i += 3) {
        make('circle', { cx: circles[i], cy: circles[i + 1], r: circles[i + 2], fill: 'none', stroke: i === 0 ? INNER : OUTLINE, 'stroke-width': unit }, p.over);
      }
    }
    if (legend) legend.clear();
  },
  places(p) {
    layers.figure(p);
    const { grid } = p.origin;
    const cells = p.map('figure');
    let [left, top, right, bottom] = [grid.width, grid.height, 0, 0];
    for (let i = 0; i < cells.length; i++) {
      if (!cells[i]) continue;
      const [x, y] = [i % grid.width, Math.floor(i / grid.width)];
      left = Math.min(left, x); right = Math.max(right, x + 1); top = Math.min(top, y); bottom = Math.max(bottom, y + 1);
    }
    const s = p.width / grid.width;
    const [x, y, w, h] = [left * s, top * s, (right - left) * s, (bottom - top) * s];
    const line = { stroke: '#222326', 'stroke-width': p.width / 500, fill: 'none' };
    make('rect', { x, y, width: w, height: h, ...line }, p.over);
    make('path', { d: `M${x + w / 2} ${y}V${y + h}`, ...line }, p.over);
    for (let k = 1; k < 8; k++) make('path', { d: `M${x} ${y + k * h / 8}H${x + w}`, ...line, 'stroke-opacity': 0.5 }, p.over);
    if (p.origin.face) {
      const [fl, ft, fr, fb] = p.origin.face;
      make('rect', { x: fl, y: ft, width: fr - fl, height: fb - ft, ...line, 'stroke-dasharray': `${p.width / 100} ${p.width / 150}` }, p.over);
    }
  },
};

/** Hues and chromas on a disc, lightness on a column, dots as large as their share. */
function plots(p, legend) {
  legend.clear();
  const c = 76;
  make('circle', { cx: c, cy: c, r: 70, fill: '#767676' }, legend.svg);
  if (p.origin.harmony) {
    for (const [middle, width] of p.origin.harmony.sectors) {
      const [a, b] = [middle + p.origin.harmony.turn - width / 2, middle + p.origin.harmony.turn + width / 2].map((d) => d * Math.PI / 180);
      const large = width > 180 ? 1 : 0;
      make('path', { d: `M${c} ${c}L${c + 70 * Math.cos(a)} ${c - 70 * Math.sin(a)}A70 70 0 ${large} 0 ${c + 70 * Math.cos(b)} ${c - 70 * Math.sin(b)}z`, fill: '#fff', 'fill-opacity': 0.22 }, legend.svg);
    }
  }
  make('rect', { x: 168, y: 6, width: 36, height: 140, fill: '#767676' }, legend.svg);
  for (const s of p.origin.swatches) {
    const r = 2.5 + 14 * Math.sqrt(s.share);
    const angle = s.hue * Math.PI / 180;
    const reach = Math.min(68, s.chroma / 0.25 * 68);
    make('circle', { cx: c + reach * Math.cos(angle), cy: c - reach * Math.sin(angle), r, fill: s.hex, stroke: '#fff', 'stroke-width': 0.8 }, legend.svg);
    make('rect', { x: 172, y: 6 + 138 * (1 - s.lightness), width: 6 + 24 * Math.sqrt(s.share), height: 3, fill: s.hex, stroke: '#fff', 'stroke-width': 0.4 }, legend.svg);
  }
  legend.text(c, 162, legend.word('hues'), 'middle');
  legend.text(186, 162, legend.word('lightness'), 'middle');
  legend.tall(168);
}
