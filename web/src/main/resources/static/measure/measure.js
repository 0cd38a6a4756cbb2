// The bench: places and moves landmarks over the picture, and sends them to be kept and read. All
// numbers on the page come back from the server; here is only drawing and dragging.
(() => {
  const bench = document.getElementById('bench');
  const art = document.getElementById('art');
  const data = bench.dataset;
  const width = Number(data.width);
  const height = Number(data.height);
  const SVG = 'http://www.w3.org/2000/svg';
  const rollButtons = [...document.querySelectorAll('#roll button')];
  const order = rollButtons.map((button) => button.dataset.landmark);
  const draftKey = `pen-mirror-draft-${data.work}`;

  let landmarks = JSON.parse(data.landmarks);
  let version = Number(data.version);
  let active = order.find((key) => !landmarks[key]) ?? order[0];
  let view = { x: 0, y: 0, width, height };
  let pointer = { x: width / 2, y: height / 2 };
  let undoStack = [];

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
      group.append(make('path', { class: mark.state === 'placed' ? 'jaws' : 'jaws unsure', 'stroke-width': 1.7, d: jaws }));
      group.append(make('circle', { class: 'dot', r: 1.8 }));
    }
    return group;
  };

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

  const nameOf = (key) => rollButtons[order.indexOf(key)].querySelector('.name').textContent;

  const rollSymbol = (key, mark) => {
    if (key === active) return '<circle cx="7" cy="7" r="5.500" fill="none" stroke="#FAF9F5" stroke-width="1.600"/><path d="M7 0v5M7 9v5M0 7h5M9 7h5" stroke="#FAF9F5" stroke-width="1.400"/>';
    if (mark?.state === 'hidden') return '<path d="M3 7h8" stroke="#868276" stroke-width="1.600"/>';
    const dash = mark && mark.state !== 'placed' ? ' stroke-dasharray="2 2"' : '';
    const jaws = `<path d="M4.500 2A6 6 0 0 0 4.500 12M9.500 2A6 6 0 0 1 9.500 12" fill="none" stroke="${mark ? '#44474B' : '#868276'}" stroke-width="1.600"${dash}/>`;
    return mark ? `${jaws}<circle cx="7" cy="7" r="1.700" fill="#44474B"/>` : jaws;
  };

  const drawRoll = () => {
    rollButtons.forEach((button) => {
      const key = button.dataset.landmark;
      const mark = landmarks[key];
      const item = button.parentElement;
      item.classList.toggle('now', key === active);
      if (key === active) button.setAttribute('aria-current', 'true'); else button.removeAttribute('aria-current');
      const state = !mark ? data.toplace : mark.state === 'hidden' ? data.hidden : mark.state === 'placed' ? '' : data.estimated;
      button.querySelector('em').textContent = state;
      button.querySelector('svg').innerHTML = rollSymbol(key, mark);
    });
    const placed = order.filter((key) => landmarks[key]).length;
    const count = document.getElementById('placed');
    count.textContent = count.dataset.of.replace('{0}', placed).replace('{1}', order.length);
    document.getElementById('about-name').textContent = nameOf(active);
    document.getElementById('about-help').textContent = rollButtons[order.indexOf(active)].dataset.help;
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
    drawCursor();
    drawRoll();
    drawLoupe();
    placeRows();
  };

  // ---- readings hang at the height of what they measure ----------------------------------------

  const ROW = 27;
  const placeRows = () => {
    const rows = document.querySelector('#readings .rows');
    if (!rows) return;
    const read = [...rows.querySelectorAll('.rd[data-anchor]')];
    const waits = [...rows.querySelectorAll('.rd:not([data-anchor])')];
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
    placeRows();
  };

  // ---- keeping -----------------------------------------------------------------------------------

  const kept = document.getElementById('kept');
  const conflict = document.getElementById('conflict');
  const faults = document.getElementById('faults');
  let dirty = false;
  let inFlight = false;
  let timer = null;
  let inConflict = false;

  const headers = (extra) => ({ 'Content-Type': 'application/json', 'X-Bench': 'yes', ...window.penMirror.headers(), ...extra });
  const showFault = (html) => {
    faults.replaceChildren(...new DOMParser().parseFromString(html, 'text/html').querySelectorAll('.fault'));
  };

  const changed = () => {
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

  let previewing = false;
  let previewAgain = false;
  const preview = async () => {
    if (previewing) { previewAgain = true; return; }
    previewing = true;
    try {
      const answer = await fetch(data.preview, { method: 'POST', headers: headers({}), body: JSON.stringify(landmarks) });
      if (answer.ok) showReadings(await answer.text());
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
    undoStack.push({ landmarks: structuredClone(landmarks), active });
    if (undoStack.length > 500) undoStack.shift();
  };
  const clamp = (point) => ({ x: Math.max(0, Math.min(width, point.x)), y: Math.max(0, Math.min(height, point.y)) });
  const round = (value) => Math.round(value * 4) / 4;

  const put = (key, point) => {
    const place = clamp(point);
    const before = landmarks[key];
    const state = before && before.state !== 'hidden' ? before.state : 'placed';
    landmarks[key] = { x: round(place.x), y: round(place.y), state };
  };

  const say = (text) => { document.getElementById('say').textContent = text; };
  const activate = (key, speak = true) => {
    active = key;
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
    put(active, point);
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

  const undo = () => {
    const before = undoStack.pop();
    if (!before) return;
    landmarks = before.landmarks;
    active = before.active;
    changed();
    draw();
  };

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
      put(dragging.key, { x: pointer.x + dragging.dx, y: pointer.y + dragging.dy });
      draw();
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
        undoStack.push({ landmarks: done.from, active: done.key });
        changed();
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

  const STEPS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
  bench.addEventListener('keydown', (event) => {
    const letters = window.penMirror.lettersOn();
    if (STEPS[event.key]) {
      const by = event.shiftKey ? 10 : event.altKey ? 0.25 : 1;
      const [dx, dy] = STEPS[event.key].map((n) => n * by);
      if (landmarks[active]?.x !== undefined) {
        remember();
        put(active, { x: landmarks[active].x + dx, y: landmarks[active].y + dy });
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
      if (landmarks[active]?.x === undefined || event.key === ' ') placeAndGoOn(pointer); else activate(nextOpen());
    } else if (event.key === 'Escape') {
      rollButtons[order.indexOf(active)].focus();
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
    if (tool === 'undo') undo(); else if (tool === 'remove') remove(); else setState(tool);
    bench.focus();
  }));
  document.querySelectorAll('[data-zoom]').forEach((button) => button.addEventListener('click', () => {
    const middle = { x: view.x + view.width / 2, y: view.y + view.height / 2 };
    if (button.dataset.zoom === 'fit') fit(); else zoom(button.dataset.zoom === 'in' ? 1.4 : 1 / 1.4, middle);
  }));
  document.getElementById('readings-slot').addEventListener('click', (event) => {
    const row = event.target.closest('.rd');
    const key = row?.dataset.landmarks.split(' ').find((k) => order.includes(k) && (!landmarks[k] || k !== active));
    if (key) { activate(key); bench.focus(); }
  });

  // ---- beginning ---------------------------------------------------------------------------------

  for (const id of ['picture', 'loupe-picture']) {
    const image = document.getElementById(id);
    image.setAttribute('href', data.picture);
    image.setAttribute('width', width);
    image.setAttribute('height', height);
  }
  // Points that could not be sent before the page was closed come back.
  const draft = JSON.parse(localStorage.getItem(draftKey) ?? 'null');
  if (draft && JSON.stringify(draft.landmarks) !== JSON.stringify(landmarks)) {
    landmarks = draft.landmarks;
    version = draft.version;
    changed();
  } else {
    if (draft) kept.textContent = data.saved;
    localStorage.removeItem(draftKey);
  }
  new ResizeObserver(fit).observe(art);
  document.body.addEventListener('htmx:afterSwap', placeRows);
  fit();
  bench.focus({ preventScroll: true });
})();
