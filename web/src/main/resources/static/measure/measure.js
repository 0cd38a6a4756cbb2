// The bench: places and moves landmarks over the picture, and sends them to be kept and read. All
// numbers on the page come back from the server; here is only drawing and dragging.
document.addEventListener('DOMContentLoaded', () => {
  const bench = document.getElementById('bench');
  if (!bench) return;
  const art = document.getElementById('art');
  const data = bench.dataset;
  const width = Number(data.width);
  const height = Number(data.height);
  const SVG = 'http://www.w3.org/2000/svg';
  const rollButtons = [...document.querySelectorAll('#roll button')];
  const buttonOf = Object.fromEntries(rollButtons.map((button) => [button.dataset.landmark, button]));
  const all = Object.keys(buttonOf);
  const ask = document.getElementById('ask');
  const sequence = document.getElementById('sequence');
  const settings = `pen-mirror-bench-${data.study}`;
  /** The points asked for, in the order they are asked in. */
  let order = all;
  const draftKey = `pen-mirror-draft-${data.work}`;

  let landmarks = JSON.parse(data.landmarks);
  let version = Number(data.version);
  let active = all[0];
  let view = { x: 0, y: 0, width, height };
  let pointer = { x: width / 2, y: height / 2 };
  let undoStack = [];
  let redoStack = [];
  let guided = true;
  let pairs = false;
  let snapping = false;
  /** Corners of the ruler while one is laid, or nothing. */
  let ruler = null;
  /** Rim points of an iris while it is placed by three of them. */
  let rim = null;
  /** Landmark to what is doubtful about it, in words. */
  let doubts = {};
  /** An earlier version laid under this one. */
  let earlier = null;
  /** While marking again, unseen: the first marking, kept aside. */
  let first = null;

  // ---- drawing -------------------------------------------------------------------------------

  const make = (name, attributes) => {
    const node = document.createElementNS(SVG, name);
    Object.entries(attributes).forEach(([key, value]) => node.setAttribute(key, value));
    return node;
  };
  /** Picture pixels per screen pixel. */
  const pixel = () => view.width / Math.max(1, art.clientWidth);

  const fit = () => {
    const ratio = art.clientWidth / Math.max(1, art.clientHeight);
    const margin = 1.06;
    let w = width * margin;
    let h = height * margin;
    if (w / h > ratio) h = w / ratio; else w = h * ratio;
    view = { x: (width - w) / 2, y: (height - h) / 2, width: w, height: h };
    draw();
  };

  /** The head fills the bench, once crown and chin stand. */
  const fitHead = () => {
    const { crown, chin } = landmarks;
    if (crown?.x === undefined || chin?.x === undefined) return;
    const head = Math.max(8, Math.hypot(chin.x - crown.x, chin.y - crown.y));
    const ratio = art.clientWidth / Math.max(1, art.clientHeight);
    const h = 1.5 * head;
    view = { x: (crown.x + chin.x) / 2 - h * ratio / 2, y: (crown.y + chin.y) / 2 - h / 2, width: h * ratio, height: h };
    draw();
  };

  /** Close to the head, when nearly all points that stand lie there and it is small on the bench. */
  const fitHeadIfSmall = () => {
    const { crown, chin } = landmarks;
    if (crown?.x === undefined || chin?.x === undefined) return;
    const head = Math.hypot(chin.x - crown.x, chin.y - crown.y);
    const middle = { x: (crown.x + chin.x) / 2, y: (crown.y + chin.y) / 2 };
    const stand = order.filter((key) => landmarks[key]?.x !== undefined);
    const near = stand.filter((key) => Math.hypot(landmarks[key].x - middle.x, landmarks[key].y - middle.y) < head);
    if (near.length > 0.8 * stand.length && head < 0.4 * view.height) fitHead();
  };

  /** Moves the picture so that a point off the bench comes onto it. */
  const reveal = (key) => {
    const mark = landmarks[key];
    if (mark?.x === undefined) return;
    const edge = 0.04 * view.height;
    const isIn = mark.x > view.x + edge && mark.x < view.x + view.width - edge && mark.y > view.y + edge && mark.y < view.y + view.height - edge;
    if (!isIn) view = { ...view, x: mark.x - view.width / 2, y: mark.y - view.height / 2 };
  };

  const zoom = (factor, at) => {
    const w = Math.max(24, Math.min(8 * Math.max(width, height), view.width / factor));
    const k = w / view.width;
    view = { x: at.x - (at.x - view.x) * k, y: at.y - (at.y - view.y) * k, width: w, height: view.height * k };
    draw();
  };

  const symbol = (key, mark) => {
    const k = pixel() * (key.match(/^(eye|nose|mouth)/) ? 0.8 : 1);
    const group = make('g', { class: 'mark', transform: `translate(${mark.x} ${mark.y}) scale(${k})`, 'data-landmark': key });
    group.append(make('circle', { class: 'hit', r: 12 }));
    if (key === active) {
      group.append(make('path', { class: 'halo', 'stroke-width': 4, d: 'M-22 0H-5M5 0H22M0 -22V-5M0 5V22' }));
      group.append(make('circle', { class: 'halo', 'stroke-width': 4, r: 9 }));
      group.append(make('circle', { class: 'jaws', 'stroke-width': 1.6, r: 9 }));
      group.append(make('path', { class: 'jaws', 'stroke-width': 1.2, d: 'M-22 0H-4M4 0H22M0 -22V-4M0 4V22' }));
    } else {
      const jaws = 'M-3.500 -6A7 7 0 0 0 -3.500 6M3.500 -6A7 7 0 0 1 3.500 6';
      group.append(make('path', { class: 'halo', 'stroke-width': 4.2, d: jaws }));
      group.append(make('path', { class: mark.state === 'placed' ? 'jaws' : mark.state === 'proposed' ? 'jaws proposed' : 'jaws unsure', 'stroke-width': 1.7, d: jaws }));
      group.append(make('circle', { class: 'dot', r: mark.state === 'proposed' ? 1.1 : 1.8 }));
    }
    if (isDoubtful(mark)) {
      const mark2 = make('text', { class: 'confidence', x: 8, y: -6 });
      mark2.textContent = '?';
      group.append(mark2);
    }
    if (doubts[key]) group.append(make('circle', { class: 'doubted', r: 13, 'stroke-width': 2 }));
    return group;
  };

  /** Proposed with less than even chances. */
  const isDoubtful = (mark) => mark?.state === 'proposed' && (mark.confidence ?? 1) < 0.5;

  const guideLine = (group, x1, y1, x2, y2, dash) => {
    const k = pixel();
    const d = `M${x1} ${y1}L${x2} ${y2}`;
    group.append(make('path', { class: 'guide-case', 'stroke-width': 2.6 * k, d }));
    group.append(make('path', { class: 'guide', 'stroke-width': k, 'stroke-dasharray': dash.map((n) => n * k).join(' '), d }));
  };

  /** The head grid down the figure and the head's axis, once crown and chin stand. */
  const drawGuides = () => {
    const group = document.getElementById('guides');
    group.replaceChildren();
    const { crown, chin, sole } = landmarks;
    if (!guided) return;
    if (crown?.x === undefined || chin?.x === undefined) return;
    const head = Math.hypot(chin.x - crown.x, chin.y - crown.y);
    if (head < 4) return;
    const last = sole?.x === undefined ? crown.y + head : sole.y;
    const k = pixel();
    for (let i = 0; i < 30; i++) {
      const y = crown.y + i * head;
      if (y > last + 1) break;
      guideLine(group, 0, y, width, y, [1.5, 4]);
      const number = make('text', { x: 4 * k, y: y - 4 * k, 'font-size': 12 * k, fill: '#222326', stroke: '#fff', 'stroke-width': 3 * k, 'paint-order': 'stroke' });
      number.textContent = String(i);
      group.append(number);
    }
    const down = { x: (chin.x - crown.x) / head, y: (chin.y - crown.y) / head };
    guideLine(group, crown.x - down.x * head * 0.2, crown.y - down.y * head * 0.2, chin.x + down.x * head * 0.2, chin.y + down.y * head * 0.2, [6, 4]);
    drawFaceGuides(group, head, down);
  };

  /** Eye line, thirds and the ruler of eye widths, in the tilted head's own frame. */
  const drawFaceGuides = (group, head, down) => {
    const across = { x: down.y, y: -down.x };
    const level = (points, dash) => {
      const known = points.map((key) => landmarks[key]).filter((mark) => mark?.x !== undefined);
      if (known.length === 0) return null;
      const middle = { x: known.reduce((sum, p) => sum + p.x, 0) / known.length, y: known.reduce((sum, p) => sum + p.y, 0) / known.length };
      const along = (middle.x - landmarks.crown.x) * down.x + (middle.y - landmarks.crown.y) * down.y;
      const from = { x: landmarks.crown.x + down.x * along, y: landmarks.crown.y + down.y * along };
      guideLine(group, from.x - across.x * head * 0.62, from.y - across.y * head * 0.62, from.x + across.x * head * 0.62, from.y + across.y * head * 0.62, dash);
      return from;
    };
    level(['eye_l_outer', 'eye_l_inner', 'eye_r_inner', 'eye_r_outer'], [10, 3]);
    ['hairline', 'nose_base'].forEach((key) => level([key], [3, 3]));
    level(['brow_l_outer', 'brow_l_inner', 'brow_r_inner', 'brow_r_outer'], [3, 3]);
    const { eye_l_outer: a, eye_l_inner: b } = landmarks;
    if (a?.x === undefined || b?.x === undefined) return;
    // One eye's width after the other across the face.
    const width = Math.hypot(b.x - a.x, b.y - a.y);
    if (width < 3 * pixel()) return;
    const k = pixel();
    for (let i = -1; i <= 4; i++) {
      const x = a.x + across.x * width * i;
      const y = a.y + across.y * width * i;
      guideLine(group, x - down.x * 7 * k, y - down.y * 7 * k, x + down.x * 7 * k, y + down.y * 7 * k, [1, 0]);
    }
  };

  /** The earlier version as dashed jaws, with a line to where the point lies now. */
  const drawEarlier = () => {
    const group = document.getElementById('earlier');
    group.replaceChildren();
    if (!earlier) return;
    const k = pixel();
    Object.entries(earlier).forEach(([key, mark]) => {
      const now = landmarks[key];
      if (mark.x === undefined || (now?.x === mark.x && now?.y === mark.y)) return;
      group.append(make('circle', { class: 'earlier', cx: mark.x, cy: mark.y, r: 6 * k, 'stroke-width': 1.6 * k }));
      if (now?.x !== undefined) group.append(make('path', { class: 'earlier', d: `M${mark.x} ${mark.y}L${now.x} ${now.y}`, 'stroke-width': 1.2 * k }));
    });
  };

  /** The free ruler: two points and, once there are three, the angle at the middle one. */
  const drawRulers = () => {
    const group = document.getElementById('rulers');
    const measured = document.getElementById('measured');
    group.replaceChildren();
    measured.hidden = !ruler || ruler.length < 2;
    if (!ruler || ruler.length === 0) return;
    const k = pixel();
    const d = `M${ruler.map((p) => `${p.x} ${p.y}`).join('L')}`;
    group.append(make('path', { class: 'rule-case', d, 'stroke-width': 4 * k }), make('path', { class: 'rule-line', d, 'stroke-width': 1.5 * k }));
    ruler.forEach((p) => group.append(make('circle', { class: 'rule-line', cx: p.x, cy: p.y, r: 4 * k, 'stroke-width': 1.5 * k })));
    if (ruler.length < 2) return;
    const last = ruler.slice(-2);
    const long = Math.hypot(last[1].x - last[0].x, last[1].y - last[0].y);
    const { crown, chin } = landmarks;
    const head = crown?.x === undefined || chin?.x === undefined ? 0 : Math.hypot(chin.x - crown.x, chin.y - crown.y);
    const words = [measured.dataset.text.replace('{0}', long.toFixed(1)).replace('{1}', head > 1 ? (long / head).toFixed(3) : '–')];
    if (data.inch) words.push(measured.dataset.mm.replace('{0}', (25.4 * long / Number(data.inch)).toFixed(1)));
    if (ruler.length === 3) {
      const turn = (p) => Math.atan2(p.y - ruler[1].y, p.x - ruler[1].x);
      const between = Math.abs(turn(ruler[0]) - turn(ruler[2])) * 180 / Math.PI;
      words.push(measured.dataset.angle.replace('{0}', Math.min(between, 360 - between).toFixed(1)));
    }
    measured.textContent = words.join(', ');
  };

  const drawCursor = () => {
    const group = document.getElementById('cursor');
    group.replaceChildren();
    if (landmarks[active]) return;
    const k = pixel();
    const cross = make('g', { transform: `translate(${pointer.x} ${pointer.y}) scale(${k})` });
    cross.append(make('path', { class: 'halo', 'stroke-width': 3.5, d: 'M-16 0H-4M4 0H16M0 -16V-4M0 4V16' }));
    cross.append(make('path', { class: 'jaws', 'stroke-width': 1.2, d: 'M-16 0H-4M4 0H16M0 -16V-4M0 4V16' }));
    const name = nameOf(active);
    cross.append(make('rect', { class: 'name-chip', x: 14, y: -30, width: name.length * 6.6 + 12, height: 18 }));
    const text = make('text', { class: 'name-text', x: 20, y: -17, 'font-size': 11.5 });
    text.textContent = name;
    cross.append(text);
    group.append(cross);
  };

  const nameOf = (key) => buttonOf[key].querySelector('.name').textContent;

  const rollSymbol = (key, mark) => {
    if (key === active) return '<circle cx="7" cy="7" r="5.500" fill="none" stroke="#FAF9F5" stroke-width="1.600"/><path d="M7 0v5M7 9v5M0 7h5M9 7h5" stroke="#FAF9F5" stroke-width="1.400"/>';
    if (mark?.state === 'hidden') return '<path d="M3 7h8" stroke="#868276" stroke-width="1.600"/>';
    const dash = mark && mark.state !== 'placed' ? ' stroke-dasharray="2 2"' : '';
    const jaws = `<path d="M4.500 2A6 6 0 0 0 4.500 12M9.500 2A6 6 0 0 1 9.500 12" fill="none" stroke="${mark ? '#44474B' : '#868276'}" stroke-width="1.600"${dash}/>`;
    return mark ? `${jaws}<circle cx="7" cy="7" r="1.700" fill="#44474B"/>` : jaws;
  };

  const drawRoll = () => {
    order.forEach((key, index) => {
      const button = buttonOf[key];
      const mark = landmarks[key];
      button.firstElementChild.textContent = String(index + 1);
      const item = button.parentElement;
      item.classList.toggle('now', key === active);
      if (key === active) button.setAttribute('aria-current', 'true'); else button.removeAttribute('aria-current');
      const state = !mark ? data.toplace : mark.state === 'hidden' ? data.hidden : mark.state === 'placed' ? '' : mark.state !== 'proposed' ? data.estimated : mark.confidence === undefined ? data.unconfirmed : data.proposed.replace('{0}', Math.round(100 * mark.confidence));
      button.querySelector('em').textContent = state;
      button.querySelector('svg').innerHTML = rollSymbol(key, mark);
    });
    const placed = order.filter((key) => landmarks[key]).length;
    const count = document.getElementById('placed');
    count.textContent = count.dataset.of.replace('{0}', placed).replace('{1}', order.length);
    document.getElementById('about-name').textContent = nameOf(active);
    document.getElementById('about-help').textContent = buttonOf[active].dataset.help;
    document.getElementById('about-mistake').textContent = buttonOf[active].dataset.mistake;
    document.getElementById('about-doubt').textContent = doubts[active] ?? '';
    document.querySelector('[data-tool="mirror"]').disabled = buttonOf[active].dataset.mirrored === active;
    document.querySelector('[data-tool="circle"]').hidden = !/^(iris|pupil)_/.test(active);
    document.getElementById('confirm').hidden = !order.some((key) => landmarks[key]?.state === 'proposed');
    window.penMirror.showExample(active);
  };

  const drawLoupe = () => {
    const mark = landmarks[active];
    const at = dragging || !mark || mark.x === undefined ? pointer : mark;
    const span = Math.min(96, Math.max(12, 24 * Math.min(1, pixel() * 2)));
    document.getElementById('loupe').setAttribute('viewBox', `${at.x - span / 2} ${at.y - span / 2} ${span} ${span}`);
    const gap = span / 14;
    const d = `M${at.x - span} ${at.y}H${at.x - gap}M${at.x + gap} ${at.y}H${at.x + span}M${at.x} ${at.y - span}V${at.y - gap}M${at.x} ${at.y + gap}V${at.y + span}`;
    // White on a dark casing, so that it shows on light skin and on dark hair alike.
    for (const [id, thickness] of [['loupe-case', span / 32], ['loupe-cross', span / 80]]) {
      document.getElementById(id).setAttribute('d', d);
      document.getElementById(id).setAttribute('stroke-width', String(thickness));
    }
    document.getElementById('loupe-place').textContent = `${Math.round(at.x)}, ${Math.round(at.y)}`;
    document.getElementById('loupe-zoom').textContent = `${(116 / span).toFixed(1)}×`;
  };

  const draw = () => {
    art.setAttribute('viewBox', `${view.x} ${view.y} ${view.width} ${view.height}`);
    art.classList.toggle('pixels', pixel() < 0.34);
    const marks = document.getElementById('marks');
    marks.replaceChildren();
    Object.entries(landmarks).forEach(([key, mark]) => {
      if (mark.x !== undefined && order.includes(key) && key !== active) marks.append(symbol(key, mark));
    });
    const current = landmarks[active];
    if (current?.x !== undefined) marks.append(symbol(active, current));
    drawGuides();
    drawEarlier();
    drawRulers();
    drawCursor();
    drawRoll();
    drawLoupe();
    placeRows();
  };

  /** While a point moves only what moves with it is drawn: the roll stays as it is. */
  const follow = () => {
    document.querySelectorAll('#marks .mark').forEach((group) => {
      const mark = landmarks[group.dataset.landmark];
      const scale = group.getAttribute('transform').replace(/^.*\) /, '');
      group.setAttribute('transform', `translate(${mark.x} ${mark.y}) ${scale}`);
    });
    drawGuides();
    drawEarlier();
    drawLoupe();
  };

  // ---- readings hang at the height of what they measure ----------------------------------------

  const ROW = 27;
  let shownGroup = 'PROPORTION';

  /** Rows of the group shown; what waits only where its points are asked for. */
  const sortOut = (rows) => {
    rows.querySelectorAll('.rd').forEach((row) => {
      const needs = row.dataset.landmarks.split(' ');
      const asked = ask.value === row.dataset.measure || needs.every((key) => order.includes(key));
      row.hidden = row.dataset.group !== shownGroup || (row.dataset.anchor === undefined && !asked);
    });
  };
  const placeRows = () => {
    const rows = document.querySelector('#readings .rows');
    if (!rows) return;
    sortOut(rows);
    const read = [...rows.querySelectorAll('.rd[data-anchor]:not([hidden])')];
    const waits = [...rows.querySelectorAll('.rd:not([data-anchor]):not([hidden])')];
    const wide = window.matchMedia('(min-width:901px) and (min-height:700px)').matches;
    rows.querySelector('#leaders')?.remove();
    if (!wide || read.length === 0) {
      rows.style.height = '';
      [...read, ...waits].forEach((row) => { row.style.position = ''; row.style.top = ''; });
      return;
    }
    const box = art.getBoundingClientRect();
    const top = rows.getBoundingClientRect().top;
    const room = Math.max((read.length + waits.length) * ROW, Math.min(400, box.height - 345));
    const scale = box.height / view.height;
    const wanted = read
      .map((row) => ({ row, at: box.top - top + (Number(row.dataset.anchor) - view.y) * scale }))
      .sort((a, b) => a.at - b.at);
    let next = 0;
    wanted.forEach((entry) => { entry.top = Math.max(next, entry.at - ROW / 2); next = entry.top + ROW; });
    let limit = room - waits.length * ROW;
    for (let i = wanted.length - 1; i >= 0; i--) {
      wanted[i].top = Math.max(0, Math.min(wanted[i].top, limit - ROW));
      limit = wanted[i].top;
    }
    const leaders = make('svg', { id: 'leaders', height: room, 'aria-hidden': 'true' });
    wanted.forEach(({ row, at, top: y }) => {
      row.style.position = 'absolute';
      row.style.left = '0';
      row.style.right = '0';
      row.style.top = `${y}px`;
      const from = Math.max(-30, Math.min(room + 30, at));
      leaders.append(make('path', { d: `M0 ${from}L12 ${y + ROW / 2}H22`, fill: 'none', stroke: '#74787D' }));
    });
    waits.forEach((row, i) => {
      row.style.position = 'absolute';
      row.style.left = '0';
      row.style.right = '0';
      row.style.top = `${room - (waits.length - i) * ROW}px`;
    });
    rows.style.height = `${room}px`;
    rows.prepend(leaders);
  };

  const showReadings = (html) => {
    const slot = document.getElementById('readings-slot');
    const parsed = new DOMParser().parseFromString(html, 'text/html').getElementById('readings');
    if (!parsed) return;
    slot.replaceChildren(parsed);
    document.getElementById('head-note').textContent = parsed.dataset.head;
    window.htmx?.process(parsed);
    readDoubts();
    coverReadings();
    placeRows();
  };

  /** What the server doubts is said at the point, in the roll's help and aloud. */
  const readDoubts = () => {
    const before = JSON.stringify(doubts);
    doubts = {};
    document.querySelectorAll('#readings .doubts li').forEach((item) => { doubts[item.dataset.landmark] = item.textContent.trim(); });
    if (JSON.stringify(doubts) !== before && !dragging) draw();
  };

  // ---- keeping -----------------------------------------------------------------------------------

  const kept = document.getElementById('kept');
  const conflict = document.getElementById('conflict');
  const faults = document.getElementById('faults');
  let dirty = false;
  let inFlight = false;
  let timer = null;
  let inConflict = false;

  const headers = (extra) => ({ 'Content-Type': 'application/json', 'X-Bench': 'yes', 'X-Marks-By': encodeURIComponent(localStorage.getItem('pen-mirror-by') ?? ''), ...window.penMirror.headers(), ...extra });
  const showFault = (html) => {
    faults.replaceChildren(...new DOMParser().parseFromString(html, 'text/html').querySelectorAll('.fault'));
  };

  /** Marks are kept without the chances of what was proposed: those stay in this browser. */
  const CHANCES = `pen-mirror-chances-${data.work}`;
  const SITTING = `pen-mirror-sitting-${data.work}`;
  const STEPS_KEPT = 60;
  const changed = () => {
    // A figure marked a second time stays out of everything that is kept of the first.
    if (first) { preview(); return; }
    // Undo works on after the page was left and opened again in this sitting.
    sessionStorage.setItem(SITTING, JSON.stringify({ undo: undoStack.slice(-STEPS_KEPT), redo: redoStack.slice(-STEPS_KEPT) }));
    dirty = true;
    kept.textContent = data.saving;
    localStorage.setItem(draftKey, JSON.stringify({ version, landmarks }));
    clearTimeout(timer);
    timer = setTimeout(save, 150);
  };

  const save = async () => {
    if (!dirty || inFlight || inConflict) return;
    inFlight = true;
    dirty = false;
    kept.textContent = data.saving;
    try {
      const answer = await fetch(data.save, {
        method: 'POST', headers: headers({ 'X-Marks-Version': String(version) }), body: JSON.stringify(landmarks),
      });
      const text = await answer.text();
      if (answer.ok) {
        version = Number(answer.headers.get('X-Marks-Version'));
        if (!dirty) localStorage.removeItem(draftKey);
        faults.replaceChildren();
        kept.textContent = data.saved;
        if (!dragging) showReadings(text);
      } else if (answer.status === 409) {
        inConflict = true;
        dirty = true;
        conflict.hidden = false;
        conflict.dataset.version = answer.headers.get('X-Marks-Version');
        kept.textContent = '';
        showFault(text);
      } else {
        dirty = true;
        kept.textContent = data.unsaved;
        showFault(text);
        timer = setTimeout(save, 3000);
      }
    } catch {
      dirty = true;
      kept.textContent = data.unsaved;
      timer = setTimeout(save, 3000);
    } finally {
      inFlight = false;
      if (dirty && !inConflict && kept.textContent !== data.unsaved) save();
    }
  };

  conflict.addEventListener('click', (event) => {
    const choice = event.target.dataset.conflict;
    if (choice === 'theirs') {
      localStorage.removeItem(draftKey);
      dirty = false;
      window.location.reload();
    } else if (choice === 'mine') {
      version = Number(conflict.dataset.version);
      inConflict = false;
      conflict.hidden = true;
      save();
    }
  });

  /**
   * Puts moving values into the rows that stand; false where a row came or went, which takes the
   * whole block.
   */
  const followReadings = ({ head, rows }) => {
    const standing = [...document.querySelectorAll('#readings .rd[data-anchor]')];
    const told = Object.fromEntries(rows.map((row) => [row.measure, row]));
    if (standing.some((row) => !told[row.dataset.measure])) return false;
    const known = new Set(standing.map((row) => row.dataset.measure));
    const waiting = [...document.querySelectorAll('#readings .rd.waits')].map((row) => row.dataset.measure);
    if (waiting.some((key) => told[key] && !known.has(key))) return false;
    document.getElementById('head-note').textContent = head;
    standing.forEach((row) => {
      const now = told[row.dataset.measure];
      row.querySelector('b').textContent = now.value;
      row.dataset.anchor = now.anchor;
      row.classList.toggle('off', now.misses);
      const strip = row.querySelector('svg');
      if (!strip || now.x === '') return;
      strip.querySelector('.tick').setAttribute('d', `M${now.x} 2V20`);
      strip.querySelector('.gap')?.remove();
      if (now.misses) strip.insertBefore(make('path', { class: 'gap', d: `M${now.edgeX} 11H${now.x}` }), strip.querySelector('.tick'));
    });
    placeRows();
    return true;
  };

  let previewing = false;
  let previewAgain = false;
  const preview = async () => {
    if (previewing) { previewAgain = true; return; }
    previewing = true;
    try {
      const body = JSON.stringify(landmarks);
      const answer = await fetch(data.preview, { method: 'POST', headers: headers({ Accept: 'application/json' }), body });
      if (answer.ok && !followReadings(await answer.json())) {
        const whole = await fetch(data.preview, { method: 'POST', headers: headers({ Accept: 'text/html' }), body });
        if (whole.ok) showReadings(await whole.text());
      }
    } catch {
      // The save that follows tells what is wrong.
    } finally {
      previewing = false;
      if (previewAgain) { previewAgain = false; preview(); }
    }
  };

  // Leaving the page sends what is still waiting; the draft stays until it is known to have arrived.
  window.addEventListener('pagehide', () => {
    if (!dirty || inConflict) return;
    fetch(data.save, {
      method: 'POST', keepalive: true, headers: headers({ 'X-Marks-Version': String(version) }), body: JSON.stringify(landmarks),
    }).catch(() => {});
  });

  // ---- changing ----------------------------------------------------------------------------------

  const remember = () => {
    redoStack = [];
    undoStack.push({ landmarks: structuredClone(landmarks), active });
    if (undoStack.length > 500) undoStack.shift();
  };
  const clamp = (point) => ({ x: Math.max(0, Math.min(width, point.x)), y: Math.max(0, Math.min(height, point.y)) });
  const round = (value) => Math.round(value * 4) / 4;

  const put = (key, point) => {
    const place = clamp(point);
    const before = landmarks[key];
    // A proposed point that somebody moved is no longer a proposal.
    const state = before && before.state !== 'hidden' && before.state !== 'proposed' ? before.state : 'placed';
    landmarks[key] = { x: round(place.x), y: round(place.y), state };
  };

  /** A place of the picture on the other side of the head's axis, or nothing without a head. */
  const acrossTheAxis = (point) => {
    const { crown, chin } = landmarks;
    if (crown?.x === undefined || chin?.x === undefined) return null;
    const head = Math.hypot(chin.x - crown.x, chin.y - crown.y);
    if (head < 4) return null;
    const side = { x: (chin.y - crown.y) / head, y: -(chin.x - crown.x) / head };
    const away = (point.x - crown.x) * side.x + (point.y - crown.y) * side.y;
    return { x: point.x - 2 * away * side.x, y: point.y - 2 * away * side.y };
  };

  /** Moves the other side along, in a mirror about the head's axis. */
  const putPair = (key, point) => {
    put(key, point);
    const other = buttonOf[key].dataset.mirrored;
    const there = acrossTheAxis(landmarks[key]);
    if (pairs && other !== key && there) put(other, there);
  };

  const image = new Image();
  /** Where the picture says the point belongs, if that is wanted and something is near. */
  const snapped = (point) => {
    if (!snapping) return point;
    const found = window.penMirror.snap(image, point, 9 * pixel());
    if (found.kind) say(data.snap.replace('{0}', document.querySelector(`[data-switch="snap"]`).dataset[found.kind]));
    return found;
  };

  const say = (text) => { document.getElementById('say').textContent = text; };
  const activate = (key, speak = true) => {
    active = key;
    reveal(key);
    draw();
    if (speak) say(`${nameOf(key)}. ${landmarks[key]?.x === undefined ? data.toplace : `${landmarks[key].x}, ${landmarks[key].y}`}`);
  };
  const nextOpen = () => {
    const from = order.indexOf(active);
    const ahead = [...order.slice(from + 1), ...order.slice(0, from)];
    return ahead.find((key) => !landmarks[key]) ?? order[Math.min(from + 1, order.length - 1)];
  };

  const placeAndGoOn = (point) => {
    remember();
    putPair(active, snapped(point));
    changed();
    activate(nextOpen());
  };

  /** Takes a proposed point for good and goes on. */
  const confirmAndGoOn = () => {
    remember();
    landmarks[active].state = 'placed';
    delete landmarks[active].confidence;
    changed();
    activate(nextOpen());
  };

  const confirmAll = () => {
    remember();
    order.forEach((key) => {
      const mark = landmarks[key];
      if (mark?.state === 'proposed') landmarks[key] = { x: mark.x, y: mark.y, state: 'placed' };
    });
    changed();
    draw();
  };

  /** The least sure of what is proposed. */
  const nextDoubtful = () => {
    const open = order.filter((key) => landmarks[key]?.state === 'proposed' && key !== active);
    if (open.length === 0) return;
    activate(open.reduce((a, b) => ((landmarks[a].confidence ?? 0) <= (landmarks[b].confidence ?? 0) ? a : b)));
  };

  const proposeButton = document.getElementById('propose');
  const proposed = document.getElementById('proposed');
  const proposeRest = async () => {
    if (proposeButton.disabled) return;
    proposeButton.disabled = true;
    proposed.textContent = proposed.dataset.looking;
    const known = Object.fromEntries(Object.entries(landmarks).filter(([, mark]) => mark.state !== 'proposed'));
    try {
      const answer = await fetch(proposeButton.dataset.url, { method: 'POST', headers: headers({}), body: JSON.stringify(known) });
      if (!answer.ok) throw new Error(String(answer.status));
      const found = (await answer.json()).landmarks;
      remember();
      let count = 0;
      let doubtful = 0;
      Object.entries(landmarks).forEach(([key, mark]) => { if (mark.state === 'proposed') delete landmarks[key]; });
      order.filter((key) => found[key] && !landmarks[key]).forEach((key) => {
        landmarks[key] = { ...found[key], x: round(found[key].x), y: round(found[key].y) };
        count += 1;
        if (isDoubtful(landmarks[key])) doubtful += 1;
      });
      localStorage.setItem(CHANCES, JSON.stringify(landmarks));
      proposed.textContent = count === 0 ? proposed.dataset.none : proposed.dataset.found.replace('{0}', count).replace('{1}', doubtful);
      if (count > 0) changed();
      fitHeadIfSmall();
      if (landmarks[active]?.state !== 'proposed') activate(order.find((key) => !landmarks[key]) ?? order.find((key) => landmarks[key].state === 'proposed') ?? active);
      draw();
    } catch {
      proposed.textContent = proposed.dataset.failed;
    } finally {
      proposeButton.disabled = false;
    }
  };

  /** The other side of the active point, mirrored about the head's axis. */
  const mirrorActive = () => {
    const mark = landmarks[active];
    const other = buttonOf[active].dataset.mirrored;
    const there = mark?.x === undefined ? null : acrossTheAxis(mark);
    if (!there || other === active) return;
    remember();
    put(other, there);
    changed();
    activate(order.includes(other) ? other : active);
  };

  /** Three points of the rim give centre, edge and top of the iris. */
  const placeByRim = (point) => {
    rim.points.push(point);
    if (rim.points.length < 3) { draw(); return; }
    const [p, q, r] = rim.points;
    const d = 2 * (p.x * (q.y - r.y) + q.x * (r.y - p.y) + r.x * (p.y - q.y));
    const side = rim.side;
    rim = null;
    if (Math.abs(d) < 1e-6) { draw(); return; }
    const square = (a) => a.x * a.x + a.y * a.y;
    const centre = {
      x: (square(p) * (q.y - r.y) + square(q) * (r.y - p.y) + square(r) * (p.y - q.y)) / d,
      y: (square(p) * (r.x - q.x) + square(q) * (p.x - r.x) + square(r) * (q.x - p.x)) / d,
    };
    const radius = Math.hypot(p.x - centre.x, p.y - centre.y);
    remember();
    put(`iris_${side}_centre`, centre);
    put(`iris_${side}_edge`, { x: centre.x + (side === 'l' ? -radius : radius), y: centre.y });
    put(`iris_${side}_top`, { x: centre.x, y: centre.y - radius });
    changed();
    activate(nextOpen());
  };

  const setState = (state) => {
    remember();
    const mark = landmarks[active];
    if (state === 'hidden') {
      if (mark?.state === 'hidden') delete landmarks[active]; else landmarks[active] = { state: 'hidden' };
    } else if (mark?.x !== undefined) {
      mark.state = mark.state === 'estimated' ? 'placed' : 'estimated';
    } else {
      put(active, pointer);
      landmarks[active].state = 'estimated';
    }
    changed();
    if (state === 'hidden' && landmarks[active]) activate(nextOpen()); else draw();
  };

  const remove = () => {
    if (!landmarks[active]) return;
    remember();
    delete landmarks[active];
    changed();
    draw();
  };

  const stepBetween = (from, to) => {
    const step = from.pop();
    if (!step) return;
    to.push({ landmarks: structuredClone(landmarks), active });
    landmarks = step.landmarks;
    active = order.includes(step.active) ? step.active : active;
    changed();
    draw();
  };
  const undo = () => stepBetween(undoStack, redoStack);
  const redo = () => stepBetween(redoStack, undoStack);

  // ---- pointer -----------------------------------------------------------------------------------

  let dragging = null;
  let panning = null;
  const toPicture = (event) => {
    const box = art.getBoundingClientRect();
    return { x: view.x + ((event.clientX - box.left) / box.width) * view.width, y: view.y + ((event.clientY - box.top) / box.height) * view.height };
  };

  const touches = new Map();
  let pinch = null;

  art.addEventListener('pointerdown', (event) => {
    bench.focus({ preventScroll: true });
    art.setPointerCapture(event.pointerId);
    touches.set(event.pointerId, event);
    if (touches.size === 2) {
      const [a, b] = [...touches.values()];
      pinch = Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY);
      dragging = null;
      panning = null;
      return;
    }
    pointer = toPicture(event);
    const reach = (event.pointerType === 'touch' ? 22 : 12) * pixel();
    const near = order
      .filter((key) => landmarks[key]?.x !== undefined)
      .map((key) => ({ key, away: Math.hypot(landmarks[key].x - pointer.x, landmarks[key].y - pointer.y) }))
      .filter((entry) => entry.away <= reach)
      .sort((a, b) => a.away - b.away)[0];
    const grabs = near && (landmarks[active] || near.away <= 7 * pixel());
    if (event.button === 0 && (ruler || rim)) {
      if (rim) { placeByRim(pointer); return; }
      if (ruler.length === 3) ruler = [];
      ruler.push(snapped(pointer));
      draw();
      return;
    }
    if (event.button === 0 && grabs && !event.altKey) {
      dragging = { key: near.key, from: structuredClone(landmarks), moved: false, dx: landmarks[near.key].x - pointer.x, dy: landmarks[near.key].y - pointer.y };
      activate(near.key);
    } else {
      panning = { x: event.clientX, y: event.clientY, view: { ...view }, moved: false, places: event.button === 0 && !landmarks[active] };
    }
  });

  art.addEventListener('pointermove', (event) => {
    if (touches.has(event.pointerId)) touches.set(event.pointerId, event);
    if (pinch && touches.size === 2) {
      const [a, b] = [...touches.values()];
      const apart = Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY);
      zoom(apart / pinch, toPicture({ clientX: (a.clientX + b.clientX) / 2, clientY: (a.clientY + b.clientY) / 2 }));
      pinch = apart;
      return;
    }
    pointer = toPicture(event);
    if (dragging) {
      dragging.moved = true;
      putPair(dragging.key, { x: pointer.x + dragging.dx, y: pointer.y + dragging.dy });
      follow();
      preview();
    } else if (panning) {
      const dx = event.clientX - panning.x;
      const dy = event.clientY - panning.y;
      if (Math.hypot(dx, dy) > 4) panning.moved = true;
      if (panning.moved) {
        view = { ...panning.view, x: panning.view.x - dx * pixel(), y: panning.view.y - dy * pixel() };
        draw();
      }
    } else {
      drawCursor();
      drawLoupe();
    }
  });

  const release = (event) => {
    touches.delete(event.pointerId);
    if (touches.size < 2) pinch = null;
    if (dragging) {
      const done = dragging;
      dragging = null;
      if (done.moved) {
        if (snapping) putPair(done.key, snapped(landmarks[done.key]));
        redoStack = [];
        undoStack.push({ landmarks: done.from, active: done.key });
        changed();
      } else if (landmarks[done.key].state === 'proposed') {
        confirmAndGoOn();
      }
      draw();
    } else if (panning) {
      const done = panning;
      panning = null;
      if (!done.moved && done.places) placeAndGoOn(toPicture(event));
    }
  };
  art.addEventListener('pointerup', release);
  art.addEventListener('pointercancel', release);
  art.addEventListener('wheel', (event) => {
    event.preventDefault();
    zoom(Math.exp(-event.deltaY / 500), toPicture(event));
  }, { passive: false });

  // ---- keys --------------------------------------------------------------------------------------

  const KEYS = { p: () => proposeRest(), a: () => confirmAll(), d: () => nextDoubtful(), m: () => mirrorActive(), s: () => flip('snap'), b: () => flip('pairs'), g: () => flip('guides'), r: () => flip('ruler') };
  const STEPS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
  bench.addEventListener('keydown', (event) => {
    const letters = window.penMirror.lettersOn();
    if (STEPS[event.key]) {
      const by = event.shiftKey ? 10 : event.altKey ? 0.25 : 1;
      const [dx, dy] = STEPS[event.key].map((n) => n * by);
      if (landmarks[active]?.x !== undefined) {
        remember();
        putPair(active, { x: landmarks[active].x + dx, y: landmarks[active].y + dy });
        changed();
      } else {
        const k = Math.max(1, pixel());
        pointer = clamp({ x: pointer.x + dx * k, y: pointer.y + dy * k });
      }
      draw();
      say(landmarks[active]?.x === undefined ? `${Math.round(pointer.x)}, ${Math.round(pointer.y)}` : `${landmarks[active].x}, ${landmarks[active].y}`);
    } else if (event.key === 'Tab') {
      const step = event.shiftKey ? -1 : 1;
      activate(order[(order.indexOf(active) + step + order.length) % order.length]);
    } else if (event.key === 'Enter' || event.key === ' ') {
      if (landmarks[active]?.x === undefined || event.key === ' ') placeAndGoOn(pointer);
      else if (landmarks[active].state === 'proposed') confirmAndGoOn();
      else activate(nextOpen());
    } else if (event.key === 'Escape') {
      if (ruler || rim) { ruler = ruler ? [] : null; rim = null; draw(); } else buttonOf[active].focus();
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      remove();
    } else if (event.key === '+' || event.key === '=') {
      zoom(1.4, landmarks[active]?.x === undefined ? pointer : landmarks[active]);
    } else if (event.key === '-' || event.key === '−') {
      zoom(1 / 1.4, landmarks[active]?.x === undefined ? pointer : landmarks[active]);
    } else if (event.key === '0') {
      fit();
    } else if (letters && event.key.toLowerCase() === 'u') {
      setState('estimated');
    } else if (letters && event.key.toLowerCase() === 'n') {
      setState('hidden');
    } else if (letters && KEYS[event.key.toLowerCase()] && !event.ctrlKey && !event.metaKey) {
      KEYS[event.key.toLowerCase()]();
    } else if ((event.key.toLowerCase() === 'y' || (event.key === 'Z' && event.shiftKey)) && (letters || event.ctrlKey || event.metaKey)) {
      redo();
    } else if (event.key.toLowerCase() === 'z' && (letters || event.ctrlKey || event.metaKey)) {
      undo();
    } else {
      return;
    }
    event.preventDefault();
  });

  rollButtons.forEach((button) => button.addEventListener('click', () => { activate(button.dataset.landmark); bench.focus(); }));
  document.querySelectorAll('[data-tool]').forEach((button) => button.addEventListener('click', () => {
    const tool = button.dataset.tool;
    const does = { undo, redo, remove, mirror: mirrorActive, circle: () => { rim = { side: active.split('_')[1], points: [] }; } };
    if (does[tool]) does[tool](); else setState(tool);
    bench.focus();
  }));
  proposeButton.addEventListener('click', () => { proposeRest(); bench.focus(); });
  document.getElementById('confirm').addEventListener('click', () => { confirmAll(); bench.focus(); });

  const switches = [...document.querySelectorAll('[data-switch]')];
  const flip = (name) => {
    if (name === 'snap') snapping = !snapping;
    if (name === 'pairs') pairs = !pairs;
    if (name === 'guides') guided = !guided;
    if (name === 'ruler') ruler = ruler ? null : [];
    const on = { snap: snapping, pairs, guides: guided, ruler: ruler !== null }[name];
    switches.find((button) => button.dataset.switch === name).setAttribute('aria-pressed', String(on));
    draw();
  };
  switches.forEach((button) => button.addEventListener('click', () => { flip(button.dataset.switch); bench.focus(); }));

  // ---- what is asked for -----------------------------------------------------------------------

  const SEQUENCES = { crown: /^$/, eyes: /^(eye|lash|iris|pupil)/, jaw: /^(crown|chin|cheek|jaw)/ };
  const askFor = () => {
    const asked = ask.selectedOptions[0].dataset.landmarks.split(' ');
    const begins = SEQUENCES[sequence.value];
    const known = all.filter((key) => asked.includes(key));
    order = [...known.filter((key) => begins.test(key)), ...known.filter((key) => !begins.test(key))];
    const roll = document.getElementById('roll');
    const rest = all.filter((key) => !order.includes(key));
    [...order, ...rest].forEach((key) => {
      buttonOf[key].parentElement.hidden = rest.includes(key);
      roll.append(buttonOf[key].parentElement);
    });
    const face = ask.value === 'quick' || ask.value === 'full' ? null : document.querySelector(`.rd[data-measure="${ask.value}"]`)?.dataset.group ?? (ask.value === 'head' || ask.value === 'part' ? 'FACE' : null);
    if (face) showGroup(face);
    active = order.find((key) => !landmarks[key]) ?? order[0];
    localStorage.setItem(settings, JSON.stringify({ ask: ask.value, sequence: sequence.value }));
  };
  const groupButtons = [...document.querySelectorAll('[data-group].btn')];
  const showGroup = (name) => {
    shownGroup = name;
    groupButtons.forEach((button) => button.setAttribute('aria-pressed', String(button.dataset.group === name)));
    placeRows();
  };
  groupButtons.forEach((button) => button.addEventListener('click', () => showGroup(button.dataset.group)));
  [ask, sequence].forEach((select) => select.addEventListener('change', () => { askFor(); draw(); bench.focus(); }));

  // ---- guess first -----------------------------------------------------------------------------

  const guess = document.getElementById('guess');
  const guessed = new Map();
  const coverReadings = () => {
    const slot = document.getElementById('readings-slot');
    slot.classList.toggle('guessing', guess.checked);
    slot.querySelectorAll('.rd[data-anchor]').forEach((row) => {
      const told = guessed.get(row.dataset.measure);
      row.querySelector('.guess, .guessed')?.remove();
      row.classList.toggle('revealed', told !== undefined);
      if (told !== undefined && guess.checked) {
        row.append(new DOMParser().parseFromString(told, 'text/html').body.firstElementChild);
      } else if (guess.checked) {
        const input = document.createElement('input');
        input.className = 'guess';
        input.inputMode = 'decimal';
        input.setAttribute('aria-label', row.querySelector('.name').textContent);
        input.addEventListener('keydown', (event) => { if (event.key === 'Enter') tellGuess(row.dataset.measure, input.value); });
        row.append(input);
      }
    });
  };
  const tellGuess = async (measure, value) => {
    const answer = await fetch(data.guesses, { method: 'POST', headers: { 'Content-Type': 'application/x-www-form-urlencoded', ...window.penMirror.headers() }, body: new URLSearchParams({ measure, guessed: value }) });
    const text = await answer.text();
    if (answer.ok) { guessed.set(measure, text); coverReadings(); } else showFault(text);
  };
  guess.checked = localStorage.getItem('pen-mirror-guess') === 'on';
  guess.addEventListener('change', () => { localStorage.setItem('pen-mirror-guess', guess.checked ? 'on' : 'off'); coverReadings(); });

  // ---- earlier markings, marking twice ------------------------------------------------------------

  const history = document.querySelector('.history');
  history.addEventListener('click', async (event) => {
    const button = event.target.closest('button[data-version]');
    if (!button) return;
    const off = button.getAttribute('aria-pressed') === 'true';
    history.querySelectorAll('button').forEach((other) => other.setAttribute('aria-pressed', String(other === button && !off)));
    const compared = document.getElementById('compared');
    earlier = null;
    compared.textContent = '';
    if (!off) {
      const answer = await fetch(`${history.dataset.url}${button.dataset.version}.json`);
      if (!answer.ok) return;
      earlier = await answer.json();
      const moved = Object.entries(earlier).filter(([key, mark]) => mark.x !== undefined && landmarks[key]?.x !== undefined).map(([key, mark]) => Math.hypot(mark.x - landmarks[key].x, mark.y - landmarks[key].y)).filter((away) => away > 0);
      const farthest = Math.max(0, ...moved).toFixed(1);
      compared.textContent = moved.length === 1 ? compared.dataset.one.replace('{0}', farthest) : compared.dataset.text.replace('{0}', moved.length).replace('{1}', farthest);
    }
    draw();
  });
  const showHistory = (shown) => history.querySelectorAll('button').forEach((button) => {
    button.disabled = !shown;
    button.setAttribute('aria-pressed', 'false');
    document.getElementById('compared').textContent = '';
  });
  const by = document.getElementById('by');
  by.value = localStorage.getItem('pen-mirror-by') ?? '';
  by.addEventListener('change', () => localStorage.setItem('pen-mirror-by', by.value.trim()));

  const repeat = document.getElementById('repeat');
  repeat.addEventListener('click', async () => {
    if (!first) {
      first = { landmarks: structuredClone(landmarks), undoStack, redoStack };
      landmarks = {};
      // Nothing of the first may be seen or come back: no step of it, and no earlier marking.
      earlier = null;
      undoStack = [];
      redoStack = [];
      showHistory(false);
      repeat.textContent = repeat.dataset.on;
      document.getElementById('repeat-outcome').replaceChildren();
      askFor();
      draw();
      preview();
      bench.focus();
      return;
    }
    const answer = await fetch(repeat.dataset.url, { method: 'POST', headers: headers({}), body: JSON.stringify(landmarks) });
    const text = await answer.text();
    if (!answer.ok) { showFault(text); return; }
    document.getElementById('repeat-outcome').replaceChildren(...new DOMParser().parseFromString(text, 'text/html').body.children);
    earlier = landmarks;
    ({ landmarks, undoStack, redoStack } = first);
    first = null;
    showHistory(true);
    repeat.textContent = repeat.dataset.done;
    draw();
    preview();
  });
  document.querySelectorAll('[data-zoom]').forEach((button) => button.addEventListener('click', () => {
    const middle = { x: view.x + view.width / 2, y: view.y + view.height / 2 };
    if (button.dataset.zoom === 'fit') fit();
    else if (button.dataset.zoom === 'head') fitHead();
    else zoom(button.dataset.zoom === 'in' ? 1.4 : 1 / 1.4, middle);
  }));
  document.getElementById('readings-slot').addEventListener('click', (event) => {
    const row = event.target.closest('.rd');
    const key = row?.dataset.landmarks.split(' ').find((k) => order.includes(k) && (!landmarks[k] || k !== active));
    if (key) { activate(key); bench.focus(); }
  });

  // ---- beginning ---------------------------------------------------------------------------------

  for (const id of ['picture', 'loupe-picture']) {
    const shown = document.getElementById(id);
    shown.setAttribute('href', data.picture);
    shown.setAttribute('width', width);
    shown.setAttribute('height', height);
  }
  image.src = data.picture;
  const before = JSON.parse(localStorage.getItem(settings) ?? '{}');
  if ([...ask.options].some((option) => option.value === before.ask)) ask.value = before.ask;
  if (SEQUENCES[before.sequence]) sequence.value = before.sequence;
  Object.entries(JSON.parse(localStorage.getItem(CHANCES) ?? '{}')).forEach(([key, mark]) => {
    const now = landmarks[key];
    if (now?.state === 'proposed' && now.x === mark.x && now.y === mark.y) now.confidence = mark.confidence;
  });
  const sitting = JSON.parse(sessionStorage.getItem(SITTING) ?? 'null');
  if (sitting) ({ undo: undoStack, redo: redoStack } = sitting);
  askFor();
  coverReadings();
  readDoubts();
  // Points that could not be sent before the page was closed come back.
  const draft = JSON.parse(localStorage.getItem(draftKey) ?? 'null');
  if (draft && JSON.stringify(draft.landmarks) !== JSON.stringify(landmarks)) {
    landmarks = draft.landmarks;
    version = draft.version;
    active = order.find((key) => !landmarks[key]) ?? order[0];
    changed();
  } else {
    if (draft) kept.textContent = data.saved;
    localStorage.removeItem(draftKey);
  }
  new ResizeObserver(fit).observe(art);
  document.body.addEventListener('htmx:afterSwap', placeRows);
  fit();
  bench.focus({ preventScroll: true });
});
