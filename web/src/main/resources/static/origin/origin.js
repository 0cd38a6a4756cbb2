// Where readings come from: layers over the picture, told by origin.json of the work.
document.addEventListener('DOMContentLoaded', () => {
  const NS = 'http://www.w3.org/2000/svg';
  const pane = document.getElementById('pane');
  if (!pane) return;
  const $ = (id) => document.getElementById(id);
  const svgNode = (name, attributes = {}, parent) => {
    const node = document.createElementNS(NS, name);
    for (const [key, value] of Object.entries(attributes)) node.setAttribute(key, value);
    if (parent) parent.append(node);
    return node;
  };
  const fill = (text, ...values) => values.reduce((t, v, i) => t.replace(`{${i}}`, v), text);
  const header = (name) => document.querySelector(`meta[name=${name}]`).content;
  const csrf = () => ({ [header('csrf-header')]: header('csrf-token') });

  // Hairlines are drawn a little wider than they are, so that their colour can be seen.
  // Thin to thick, pale to dark: no hue of the rule (blue) or of a miss (red).
  const RAMP = ['#E9C46A', '#E0A24F', '#CF7F4B', '#B25E55', '#8A4560', '#5D3463', '#2E2150'];
  const OUTLINE = '#5D3A63';
  const INNER = '#EBC069';
  const PARTS = [null, '#EBC069', '#8E5460', '#5D7A4E', '#4E6A7A', '#D99A55'];

  /** One picture with its layers. */
  class Pane {
    constructor(figure) {
      this.figure = figure;
      this.svg = figure.querySelector('svg.art');
      this.width = Number(figure.dataset.width);
      this.height = Number(figure.dataset.height);
      this.picture = svgNode('image', { href: figure.dataset.picture, width: this.width, height: this.height }, this.svg);
      this.veil = svgNode('rect', { class: 'veil', width: this.width, height: this.height, fill: '#fff', 'fill-opacity': 0 }, this.svg);
      this.over = svgNode('g', {}, this.svg);
      this.strokes = svgNode('g', {}, this.svg);
      this.fit();
      new ResizeObserver(() => this.fit()).observe(figure);
    }

    fit() {
      const box = this.figure.getBoundingClientRect();
      if (!box.width || !box.height) return;
      const scale = Math.max(this.width / (box.width - 32), this.height / (box.height - 32));
      this.view = { x: (this.width - box.width * scale) / 2, y: (this.height - box.height * scale) / 2, scale };
      this.apply();
    }

    apply() {
      const box = this.figure.getBoundingClientRect();
      this.svg.setAttribute('viewBox', `${this.view.x} ${this.view.y} ${box.width * this.view.scale} ${box.height * this.view.scale}`);
    }

    place(event) {
      const box = this.figure.getBoundingClientRect();
      return [this.view.x + (event.clientX - box.left) * this.view.scale, this.view.y + (event.clientY - box.top) * this.view.scale];
    }

    zoom(factor, x = this.view.x + this.figure.clientWidth * this.view.scale / 2, y = this.view.y + this.figure.clientHeight * this.view.scale / 2) {
      const scale = Math.min(this.view.scale * factor, 4 * Math.max(this.width, this.height) / 400);
      const share = scale / this.view.scale;
      this.view = { x: x - (x - this.view.x) * share, y: y - (y - this.view.y) * share, scale };
      this.apply();
    }

    async load() {
      const reply = await fetch(this.figure.dataset.origin, { cache: 'no-store' });
      if (!reply.ok) throw new Error(String(reply.status));
      this.origin = await reply.json();
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
      svgNode('image', { class: 'map', href: canvas.toDataURL(), width: this.width, height: this.height, preserveAspectRatio: 'none' }, this.over);
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
        svgNode('path', { d: pieces.join(''), stroke, 'stroke-width': Number(wide) / 10, fill: 'none', 'stroke-linecap': 'round' }, this.over);
      }
    }
  }

  const rgba = (hex, alpha) => [parseInt(hex.slice(1, 3), 16), parseInt(hex.slice(3, 5), 16), parseInt(hex.slice(5, 7), 16), alpha];

  /** Widths of all stroke points, sorted. */
  const widths = (origin) => {
    const all = [];
    for (const stroke of origin.strokes || []) for (let i = 2; i < stroke.p.length; i += 3) all.push(stroke.p[i] / 10);
    return all.sort((a, b) => a - b);
  };
  const quantile = (sorted, share) => sorted.length ? sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] : 0;

  const legend = $('legend');
  const clearLegend = () => { legend.replaceChildren(); tall(0); };
  const tall = (height) => { legend.setAttribute('viewBox', `0 0 212 ${height}`); legend.setAttribute('height', height); };
  const text = (x, y, words, anchor = 'start') => { const t = svgNode('text', { x, y, 'text-anchor': anchor }, legend); t.textContent = words; };
  const keys = (entries) => {
    entries.forEach(([colour, words], i) => {
      svgNode('rect', { x: 0, y: 4 + 18 * i, width: 22, height: 11, fill: colour, stroke: '#868276', 'stroke-width': colour === 'none' ? 1 : 0 }, legend);
      text(30, 14 + 18 * i, words);
    });
    tall(6 + 18 * entries.length);
  };
  const word = (key) => document.querySelector('.layers').dataset[key];

  const layers = {
    figure(p) {
      p.clear(0);
      p.paint('figure', (v) => v ? null : [94, 94, 94, 200]);
    },
    weight(p, first) {
      p.clear(0.72);
      const all = first.scale || (first.scale = widths(first.origin));
      const [low, high] = [quantile(all, 0.02), quantile(all, 0.98)];
      const step = (w) => RAMP[Math.max(0, Math.min(RAMP.length - 1, Math.floor((w - low) / Math.max(0.001, high - low) * RAMP.length)))];
      p.ribbons(step);
      if (p === first) {
        clearLegend();
        const head = Number(pane.dataset.head) || 0;
        RAMP.forEach((colour, i) => svgNode('rect', { x: 30 * i, y: 14, width: 30, height: 12, fill: colour }, legend));
        [0, 0.5, 1].forEach((share, i) => {
          const px = low + share * (high - low);
          const anchor = ['start', 'middle', 'end'][i];
          text(210 * share, 10, `${px.toFixed(1)} px`, anchor);
          if (head) text(210 * share, 39, `${(1000 * px / head).toFixed(1)} ‰`, anchor);
        });
        tall(head ? 44 : 30);
      }
    },
    outline(p, first) {
      p.clear(0.72);
      p.ribbons((w, kind) => kind === 'o' ? OUTLINE : INNER);
      if (p === first) { clearLegend(); keys([[OUTLINE, word('outline')], [INNER, word('inner')]]); }
    },
    black(p, first) {
      p.clear(0.72);
      p.paint('black', (v) => v ? rgba('#5D3A63', 235) : null);
      if (p === first) { clearLegend(); keys([['#5D3A63', word('black')]]); }
    },
    hatching(p, first) {
      p.clear(0.72);
      p.ribbons((w, kind) => kind === 'h' ? OUTLINE : '#CDC9BD');
      if (p === first) { clearLegend(); keys([[OUTLINE, word('hatch')], ['#CDC9BD', word('other')]]); }
    },
    values(p, first) {
      p.clear(0);
      const tones = [null, '#33244F', '#D99A55', '#F4E3A1'];
      p.paint('tone', (v) => v ? rgba(tones[v], 225) : [118, 118, 118, 225]);
      if (p === first) { clearLegend(); keys([[tones[3], word('highlight')], [tones[2], word('base')], [tones[1], word('shadow')]]); }
    },
    edges(p, first) {
      p.clear(0.72);
      const unit = Math.max(p.width, p.height) / 400;
      const groups = { hard: [], soft: [] };
      for (const [x, y, lx, ly, w, hard] of p.origin.borders) {
        const half = Math.max(unit, w / 20);
        groups[hard ? 'hard' : 'soft'].push(`M${x - lx * half / 100} ${y - ly * half / 100}L${x + lx * half / 100} ${y + ly * half / 100}`);
      }
      svgNode('path', { d: groups.soft.join(''), stroke: '#D99A55', 'stroke-width': unit, fill: 'none' }, p.over);
      svgNode('path', { d: groups.hard.join(''), stroke: '#33244F', 'stroke-width': 1.4 * unit, fill: 'none' }, p.over);
      if (p === first) { clearLegend(); keys([['#33244F', word('hard')], ['#D99A55', word('soft')]]); }
    },
    light(p, first) {
      layers.values(p, p);
      clearLegend();
      const degrees = readingOf(p === first ? 'light.from' : null);
      if (degrees === null) return;
      const spread = readingOf('light.spread') || 0;
      const r = Math.min(p.width, p.height) * 0.42;
      const [cx, cy] = [p.width / 2, p.height / 2];
      const at = (angle, length) => [cx + length * Math.sin(angle * Math.PI / 180), cy - length * Math.cos(angle * Math.PI / 180)];
      for (const share of [-1, -0.5, 0, 0.5, 1]) {
        const angle = degrees + share * Math.min(90, spread);
        const [x1, y1] = at(angle, r);
        const [x2, y2] = at(angle, r * (share === 0 ? 0.35 : 0.55));
        svgNode('path', { d: `M${x1} ${y1}L${x2} ${y2}`, stroke: '#fff', 'stroke-width': r / (share === 0 ? 28 : 60), 'stroke-opacity': 0.9 }, p.over);
        if (share === 0) {
          const [ax, ay] = at(angle - 9, r * 0.45);
          const [bx, by] = at(angle + 9, r * 0.45);
          svgNode('path', { d: `M${x2} ${y2}L${ax} ${ay}L${bx} ${by}z`, fill: '#fff' }, p.over);
        }
      }
      const hour = Math.round(((degrees % 360) + 360) % 360 / 30) || 12;
      text(0, 12, fill(word('clock'), hour, Math.round(degrees)));
      tall(18);
    },
    colours(p, first) {
      p.clear(0);
      const hexes = p.origin.swatches;
      p.paint('colour', (v) => v ? rgba(hexes[v - 1].hex, 255) : [118, 118, 118, 255]);
      if (p === first) plots(first);
    },
    accents(p, first) {
      p.clear(0.8);
      const lit = new Set(p.origin.accents.map((a) => a + 1));
      p.paint('colour', (v) => lit.has(v) ? rgba(p.origin.swatches[v - 1].hex, 255) : null);
      if (p === first) { clearLegend(); keys(p.origin.accents.length ? p.origin.accents.map((a) => [p.origin.swatches[a].hex, p.origin.swatches[a].hex]) : [['none', word('noaccent')]]); }
    },
    steps(p, first) {
      p.clear(0.82);
      p.paint('step', (v) => v ? rgba(RAMP[Math.min(RAMP.length - 1, Math.floor((v - 1) * RAMP.length / 9))], 255) : null);
      if (p === first) {
        clearLegend();
        RAMP.forEach((colour, i) => svgNode('rect', { x: 30 * i, y: 0, width: 30, height: 12, fill: colour }, legend));
        text(0, 25, word('faint'));
        text(210, 25, word('strong'), 'end');
        tall(30);
      }
    },
    parts(p, first) {
      p.clear(0.5);
      p.paint('part', (v) => v ? rgba(PARTS[v], 190) : null);
      if (p === first) { clearLegend(); keys(['face', 'feature', 'hair', 'cloth', 'skin'].map((name, i) => [PARTS[i + 1], word(name)])); }
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
      svgNode('rect', { x, y, width: w, height: h, ...line }, p.over);
      svgNode('path', { d: `M${x + w / 2} ${y}V${y + h}`, ...line }, p.over);
      for (let k = 1; k < 8; k++) svgNode('path', { d: `M${x} ${y + k * h / 8}H${x + w}`, ...line, 'stroke-opacity': 0.5 }, p.over);
      if (p.origin.face) {
        const [fl, ft, fr, fb] = p.origin.face;
        svgNode('rect', { x: fl, y: ft, width: fr - fl, height: fb - ft, ...line, 'stroke-dasharray': `${p.width / 100} ${p.width / 150}` }, p.over);
      }
    },
  };
  const readingOf = (key) => {
    const row = key && document.querySelector(`.reading[data-key="${key}"] b`);
    return row ? Number(row.textContent.replace('\u2212', '-')) : null;
  };

  /** Hues and chromas on a disc, lightness on a column, dots as large as their share. */
  function plots(p) {
    clearLegend();
    const c = 76;
    svgNode('circle', { cx: c, cy: c, r: 70, fill: '#767676' }, legend);
    if (p.origin.harmony) {
      for (const [middle, width] of p.origin.harmony.sectors) {
        const [a, b] = [middle + p.origin.harmony.turn - width / 2, middle + p.origin.harmony.turn + width / 2].map((d) => d * Math.PI / 180);
        const large = width > 180 ? 1 : 0;
        svgNode('path', { d: `M${c} ${c}L${c + 70 * Math.cos(a)} ${c - 70 * Math.sin(a)}A70 70 0 ${large} 0 ${c + 70 * Math.cos(b)} ${c - 70 * Math.sin(b)}z`, fill: '#fff', 'fill-opacity': 0.22 }, legend);
      }
    }
    svgNode('rect', { x: 168, y: 6, width: 36, height: 140, fill: '#767676' }, legend);
    for (const s of p.origin.swatches) {
      const r = 2.5 + 14 * Math.sqrt(s.share);
      const angle = s.hue * Math.PI / 180;
      const reach = Math.min(68, s.chroma / 0.25 * 68);
      svgNode('circle', { cx: c + reach * Math.cos(angle), cy: c - reach * Math.sin(angle), r, fill: s.hex, stroke: '#fff', 'stroke-width': 0.8 }, legend);
      svgNode('rect', { x: 172, y: 6 + 138 * (1 - s.lightness), width: 6 + 24 * Math.sqrt(s.share), height: 3, fill: s.hex, stroke: '#fff', 'stroke-width': 0.4 }, legend);
    }
    text(c, 162, word('hues'), 'middle');
    text(186, 162, word('lightness'), 'middle');
    tall(168);
  }

  function listSwatches(p) {
    const list = $('swatches');
    list.replaceChildren();
    p.origin.swatches.slice(0, 14).forEach((swatch, at) => {
      const item = document.createElement('li');
      const button = document.createElement('button');
      button.type = 'button';
      button.className = 'bare';
      const square = svgNode('svg', { width: 16, height: 16, 'aria-hidden': 'true' }, button);
      svgNode('rect', { width: 16, height: 16, fill: swatch.hex }, square);
      button.append(`${swatch.hex} ${fill(list.dataset.share, (100 * swatch.share).toFixed(swatch.share < 0.1 ? 1 : 0))}`);
      const light = () => { p.clear(0.85); p.paint('colour', (v) => v === at + 1 ? rgba(swatch.hex, 255) : null); };
      button.addEventListener('pointerenter', light);
      button.addEventListener('focus', light);
      button.addEventListener('click', light);
      button.addEventListener('pointerleave', () => draw());
      item.append(button);
      list.append(item);
    });
  }

  const first = new Pane(pane);
  const panes = [first];
  if ($('pane-beside')) panes.push(new Pane($('pane-beside')));
  let layer = 'weight';
  let bare = false;
  const layerButtons = [...document.querySelectorAll('[data-layer].bare:not(.reading)')];

  function draw() {
    for (const p of panes) {
      if (!p.origin) continue;
      if (bare) p.clear(0);
      else layers[layer](p, first);
    }
    drawEdits();
  }

  function show(name) {
    layer = name;
    for (const button of layerButtons) button.setAttribute('aria-pressed', String(button.dataset.layer === name));
    const now = layerButtons.find((button) => button.dataset.layer === name);
    $('about').textContent = now ? now.dataset.about : '';
    clearLegend();
    $('swatches').hidden = name !== 'colours';
    $('figure-tools').hidden = !isMended(name);
    for (const tool of $('figure-tools').querySelectorAll('[data-of]')) tool.hidden = tool.dataset.of !== name;
    $('role-tools').hidden = name !== 'colours';
    hold(null);
    if (name !== 'colours') picking(null);
    draw();
  }
  for (const button of layerButtons) button.addEventListener('click', () => show(button.dataset.layer));

  // ---------- readings
  const rowsSlot = $('rows-slot');
  function tab(name) {
    for (const button of document.querySelectorAll('.tabs [data-tab]')) button.setAttribute('aria-pressed', String(button.dataset.tab === name));
    for (const row of rowsSlot.querySelectorAll('.reading')) row.hidden = row.dataset.tab !== name;
  }
  function choose(row) {
    for (const other of rowsSlot.querySelectorAll('.reading')) other.setAttribute('aria-pressed', String(other === row));
    pane.dataset.show = row.dataset.key;
    if ($('show-field')) $('show-field').value = row.dataset.key;
    $('how-name').textContent = row.querySelector('.name').textContent;
    $('how-formula').textContent = row.dataset.formula;
    const error = $('how-error');
    const parts = [row.dataset.error ? fill(error.dataset.error, row.dataset.error, row.dataset.unit) : error.dataset.none];
    if (row.dataset.rule) parts.push(fill(error.dataset.rule, row.dataset.rule, row.dataset.unit));
    error.textContent = parts.join(' ');
  }
  /** Chooses a reading and shows where it comes from. */
  function go(row) {
    if (!row) return;
    choose(row);
    if (row.dataset.layer !== layer) show(row.dataset.layer);
  }
  rowsSlot.addEventListener('click', (event) => go(event.target.closest('.reading')));
  for (const button of document.querySelectorAll('.tabs [data-tab]')) button.addEventListener('click', () => tab(button.dataset.tab));
  /** Marks the reading that is spoken of; what is shown over the picture stays. */
  function arrive() {
    const row = rowsSlot.querySelector(`.reading[data-key="${CSS.escape(pane.dataset.show)}"]`) || rowsSlot.querySelector('.reading');
    if (!row) return null;
    tab(row.dataset.tab);
    choose(row);
    return row;
  }

  // ---------- moving about
  const pointers = new Map();
  for (const p of panes) {
    p.figure.addEventListener('wheel', (event) => {
      event.preventDefault();
      p.zoom(event.deltaY > 0 ? 1.15 : 1 / 1.15, ...p.place(event));
    }, { passive: false });
    p.figure.addEventListener('pointerdown', (event) => {
      if (p === first && tone) { pick(p.place(event)); return; }
      p.figure.setPointerCapture(event.pointerId);
      if (p === first && brush) { begin(p.place(event)); return; }
      pointers.set(event.pointerId, [event.clientX, event.clientY]);
    });
    p.figure.addEventListener('pointermove', (event) => {
      if (stroke && p === first) { extend(p.place(event)); return; }
      const before = pointers.get(event.pointerId);
      if (!before) return;
      p.view.x -= (event.clientX - before[0]) * p.view.scale;
      p.view.y -= (event.clientY - before[1]) * p.view.scale;
      pointers.set(event.pointerId, [event.clientX, event.clientY]);
      p.apply();
    });
    const end = (event) => { pointers.delete(event.pointerId); if (stroke && p === first) finish(); };
    p.figure.addEventListener('pointerup', end);
    p.figure.addEventListener('pointercancel', end);
  }
  const zooms = { in: () => panes.forEach((p) => p.zoom(1 / 1.4)), out: () => panes.forEach((p) => p.zoom(1.4)), fit: () => panes.forEach((p) => p.fit()), bare: () => alone() };
  function alone() {
    bare = !bare;
    document.querySelector('[data-zoom=bare]').setAttribute('aria-pressed', String(bare));
    draw();
  }
  for (const button of document.querySelectorAll('[data-zoom]')) button.addEventListener('click', () => zooms[button.dataset.zoom]());

  document.addEventListener('keydown', (event) => {
    if (event.target.closest('input, select, textarea, dialog') || event.ctrlKey || event.metaKey || event.altKey) return;
    const at = layerButtons.findIndex((button) => button.dataset.layer === layer);
    const rows = [...rowsSlot.querySelectorAll('.reading:not([hidden])')];
    const row = rows.findIndex((r) => r.getAttribute('aria-pressed') === 'true');
    const moves = {
      ArrowRight: () => show(layerButtons[(at + 1) % layerButtons.length].dataset.layer),
      ArrowLeft: () => show(layerButtons[(at - 1 + layerButtons.length) % layerButtons.length].dataset.layer),
      ArrowDown: () => go(rows[Math.min(rows.length - 1, row + 1)]),
      ArrowUp: () => go(rows[Math.max(0, row - 1)]),
      '+': () => zooms.in(), '=': () => zooms.in(), '-': () => zooms.out(), 0: () => zooms.fit(),
    };
    if (!document.body.classList.contains('no-letters')) moves.b = () => alone();
    const move = moves[event.key];
    if (move) { event.preventDefault(); move(); }
  });

  // ---------- the figure by hand
  let brush = null;
  let stroke = null;
  const edits = JSON.parse(pane.dataset.edits).edits;
  const editLayer = first.strokes;
  function hold(kind) {
    brush = kind;
    pane.classList.toggle('painting', Boolean(kind));
    for (const button of document.querySelectorAll('[data-brush]')) button.setAttribute('aria-pressed', String(button.dataset.brush === kind));
  }
  for (const button of document.querySelectorAll('[data-brush]')) button.addEventListener('click', () => hold(brush === button.dataset.brush ? null : button.dataset.brush));
  const radius = () => Number($('brush-size').value) * Math.max(first.width, first.height) / 1600;
  const begin = (at) => { stroke = { kind: brush, radius: brush === 'loop' ? 0 : radius(), points: [at] }; drawEdits(); };
  function extend(at) {
    const last = stroke.points[stroke.points.length - 1];
    if (Math.hypot(at[0] - last[0], at[1] - last[1]) > 3 * first.view.scale) { stroke.points.push(at); drawEdits(); }
  }
  function finish() {
    const done = stroke;
    stroke = null;
    if (done.kind === 'loop' && done.points.length < 3) { drawEdits(); return; }
    if (done.kind === 'loop') edits.splice(0, edits.length, ...edits.filter((edit) => edit.kind !== 'loop'));
    edits.push(done);
    drawEdits();
    send();
  }
  const isMended = (name) => name === 'figure' || name === 'parts';
  const figureBrushes = ['loop', 'keep', 'drop'];
  /** Whether a stroke belongs to what is mended on a layer: the figure or its parts. */
  const isOf = (edit, name) => (figureBrushes.includes(edit.kind) ? 'figure' : 'parts') === name;
  function drawEdits() {
    editLayer.replaceChildren();
    if (bare) return;
    for (const edit of (stroke ? [...edits, stroke] : edits).filter((one) => isOf(one, layer))) {
      const d = edit.points.map(([x, y], i) => `${i ? 'L' : 'M'}${x} ${y}`).join('') + (edit.kind === 'loop' && edit !== stroke ? 'z' : edit.points.length === 1 ? 'h0.01' : '');
      svgNode('path', { d, fill: 'none', stroke: edit.kind === 'drop' ? '#222326' : '#fff', 'stroke-width': edit.kind === 'loop' ? 2 * first.view.scale : 2 * edit.radius, 'stroke-opacity': edit.kind === 'loop' ? 1 : 0.45, 'stroke-linecap': 'round', 'stroke-linejoin': 'round' }, editLayer);
    }
  }
  const state = $('figure-state');
  let sent = 0;
  async function send() {
    const mine = ++sent;
    state.textContent = state.dataset.saving;
    try {
      const body = JSON.stringify({ edits: edits.map((edit) => ({ kind: edit.kind, radius: edit.radius, points: edit.points.map(([x, y]) => [Math.round(10 * x) / 10, Math.round(10 * y) / 10]) })) });
      const reply = await fetch(pane.dataset.figure, { method: 'POST', headers: { 'Content-Type': 'application/json', ...csrf() }, body });
      if (!reply.ok) throw new Error(String(reply.status));
      state.textContent = state.dataset.reading;
      await first.load();
      if (mine !== sent) return;
      draw();
      listSwatches(first);
      await readAgain(mine);
    } catch {
      if (mine === sent) state.textContent = state.dataset.failed;
    }
  }
  /** Waits until the picture has been read anew in the background, then shows the rows. */
  async function readAgain(mine) {
    for (let tries = 0; tries < 60 && mine === sent; tries++) {
      await new Promise((resolve) => setTimeout(resolve, 700));
      const reply = await fetch(pane.dataset.rows);
      if (!reply.ok) throw new Error(String(reply.status));
      const holder = document.createElement('div');
      holder.innerHTML = await reply.text();
      const rows = holder.querySelector('#rows');
      if (rows && rows.dataset.underWay === 'false') {
        rowsSlot.replaceChildren(rows);
        arrive();
        if (tries > 0) { state.textContent = state.dataset.done; return; }
      }
    }
  }
  function keepEdits(kept) {
    if (kept.length === edits.length) return;
    edits.splice(0, edits.length, ...kept);
    drawEdits();
    send();
  }
  $('undo-stroke').addEventListener('click', () => {
    const last = edits.findLastIndex((edit) => isOf(edit, layer));
    keepEdits(edits.filter((edit, i) => i !== last));
  });
  $('as-found').addEventListener('click', () => keepEdits(edits.filter((edit) => !isOf(edit, layer))));

  // ---------- colours by role
  let tone = null;
  let role = '';
  function picking(which, of = '') {
    tone = which;
    role = of;
    pane.classList.toggle('picking', Boolean(which));
    const button = $('pick');
    button.setAttribute('aria-pressed', String(which === 'BASE' && !of));
    for (const cell of document.querySelectorAll('.tone')) cell.setAttribute('aria-pressed', String(cell.dataset.tone === which && cell.dataset.role === of));
  }
  $('pick').addEventListener('click', () => {
    if (!$('role').value.trim()) { $('role').focus(); return; }
    picking(tone ? null : 'BASE');
  });
  const rolesSlot = $('roles-slot');
  rolesSlot.addEventListener('click', async (event) => {
    const cell = event.target.closest('.tone');
    if (cell) { picking(tone === cell.dataset.tone && role === cell.dataset.role ? null : cell.dataset.tone, cell.dataset.role); return; }
    const forget = event.target.closest('[data-forget]');
    if (forget) await post(`${pane.dataset.roles}/forget`, { role: forget.dataset.forget });
  });
  const disc = $('disc');
  const sayDisc = () => { $('disc-size').textContent = `${2 * Number(disc.value) + 1} px`; };
  disc.addEventListener('input', sayDisc);
  sayDisc();
  async function pick([x, y]) {
    const name = role || $('role').value.trim();
    const which = tone;
    picking(null);
    await post(pane.dataset.roles, { role: name, tone: which, x, y, radius: disc.value });
  }
  async function post(url, fields) {
    const reply = await fetch(url, { method: 'POST', headers: csrf(), body: new URLSearchParams(fields) });
    const holder = document.createElement('div');
    holder.innerHTML = await reply.text();
    rolesSlot.replaceChildren(...holder.children);
  }

  if ($('beside')) $('beside').addEventListener('change', () => $('beside').form.submit());

  // ---------- begin
  const chip = $('state');
  const spokenOf = arrive();
  if (spokenOf) layer = spokenOf.dataset.layer;
  Promise.all(panes.map((p) => p.load()))
    .then(() => { chip.hidden = true; listSwatches(first); show(layer); })
    .catch(() => { chip.textContent = pane.dataset.failed; });
});
