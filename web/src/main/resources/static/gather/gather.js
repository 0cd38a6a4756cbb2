// The wall: laid in rows or placed freely, seen in several ways, with pictures coming in one by one.

import { receive } from '../layout/dropped.js';
import { handedOver, letGo } from '../layout/handover.js';
import { headers, lettersOn, typing } from '../layout/studio.js';

const work = document.getElementById('work');
const wall = document.getElementById('wall');
const form = document.getElementById('take');
const input = document.getElementById('files');
const describing = () => document.getElementById('describe');
const study = document.body.dataset.study;
const isFree = work.dataset.free === 'true';
const tiles = () => [...document.querySelectorAll('.tile')];
const kept = (name) => `pen-mirror-wall-${name}-${study}`;

/* ---------- zoom ---------- */
const ZOOM = kept(isFree ? 'zoom-free' : 'zoom-rows');
let zoom = Number(localStorage.getItem(ZOOM)) || 1;
const setZoom = (next) => {
  zoom = Math.max(0.15, Math.min(5, next));
  localStorage.setItem(ZOOM, String(zoom));
  lay();
};

/* ---------- rows of fitting height ---------- */
const GAP = 10;
const layRows = () => {
  const height = 150 * zoom;
  document.querySelectorAll('.tiles').forEach((row) => {
    const width = row.clientWidth;
    let line = [];
    const flush = (isLast) => {
      const sum = line.reduce((s, tile) => s + Number(tile.dataset.ratio), 0);
      const fitting = (width - GAP * (line.length - 1) - 1) / sum;
      const h = isLast ? Math.min(fitting, height * 1.3) : fitting;
      line.forEach((tile) => {
        const image = tile.querySelector('img');
        image.style.height = `${h}px`;
        image.style.width = `${h * Number(tile.dataset.ratio)}px`;
        tile.style.width = image.style.width;
        sharpen(tile, Math.max(h, h * Number(tile.dataset.ratio)));
      });
      line = [];
    };
    row.querySelectorAll('.tile').forEach((tile) => {
      line.push(tile);
      const sum = line.reduce((s, t) => s + Number(t.dataset.ratio), 0);
      if (sum * height + GAP * (line.length - 1) >= width) flush(false);
    });
    if (line.length) flush(true);
  });
};

/** A closer look gets a larger copy. */
const sharpen = (tile, side) => {
  const wanted = side * devicePixelRatio > 960 ? 1920 : side * devicePixelRatio > 480 ? 960 : 480;
  const image = tile.querySelector('img');
  const now = Number(image.getAttribute('src').split('/').pop());
  if (wanted > now) image.src = `/pictures/${tile.dataset.sha}/${wanted}`;
};

/* ---------- placed freely ---------- */
const numberOf = (tile, name) => Number(tile.dataset[name]);
const placeAll = () => {
  let x = 20;
  let y = 20;
  let tall = 0;
  const low = Math.max(0, ...tiles().filter((t) => t.dataset.x).map((t) => numberOf(t, 'y') + numberOf(t, 'width') / numberOf(t, 'ratio') + 40));
  y += low;
  tiles().filter((tile) => !tile.dataset.x).forEach((tile) => {
    const width = 200 * numberOf(tile, 'ratio');
    if (x + width > 1300) { x = 20; y += tall + 40; tall = 0; }
    Object.assign(tile.dataset, { x, y, width });
    x += width + 20;
    tall = Math.max(tall, 200);
  });
};
const layFree = () => {
  let right = 0;
  let bottom = 0;
  tiles().forEach((tile) => {
    const width = numberOf(tile, 'width');
    tile.style.left = `${numberOf(tile, 'x') * zoom}px`;
    tile.style.top = `${numberOf(tile, 'y') * zoom}px`;
    tile.style.width = `${width * zoom}px`;
    sharpen(tile, width * zoom * Math.max(1, 1 / numberOf(tile, 'ratio')));
    right = Math.max(right, numberOf(tile, 'x') + width);
    bottom = Math.max(bottom, numberOf(tile, 'y') + width / numberOf(tile, 'ratio'));
  });
  wall.style.width = `${(right + 200) * zoom}px`;
  wall.style.height = `${(bottom + 200) * zoom}px`;
};
const lay = () => (isFree ? layFree() : layRows());
const fit = () => {
  if (!isFree) { setZoom(1); return; }
  const right = Math.max(...tiles().map((t) => numberOf(t, 'x') + numberOf(t, 'width')));
  const bottom = Math.max(...tiles().map((t) => numberOf(t, 'y') + numberOf(t, 'width') / numberOf(t, 'ratio') + 30));
  setZoom(Math.min(1, (work.clientWidth - 30) / (right + 20), (work.clientHeight - 70) / (bottom + 20)));
  work.scrollTo(0, 0);
};

let saving = 0;
let moves = 0;
// What is moved again while it is sent stays to be sent; the page may be left meanwhile.
const sendPlaces = async () => {
  clearTimeout(saving);
  const dirty = tiles().filter((tile) => tile.dataset.dirty).map((tile) => [tile, tile.dataset.dirty]);
  if (!dirty.length) return;
  const body = dirty.map(([tile]) => ({
    work: Number(tile.dataset.id), x: numberOf(tile, 'x'), y: numberOf(tile, 'y'),
    width: numberOf(tile, 'width'), group: tile.dataset.group ? Number(tile.dataset.group) : null,
  }));
  const later = () => { saving = setTimeout(sendPlaces, 2000); }; // Places stay in the page till it is back.
  try {
    const answer = await fetch(wall.dataset.places, {
      method: 'POST',
      keepalive: true,
      headers: { 'Content-Type': 'application/json', ...headers() },
      body: JSON.stringify(body),
    });
    if (!answer.ok) { later(); return; }
    dirty.forEach(([tile, move]) => { if (tile.dataset.dirty === move) delete tile.dataset.dirty; });
  } catch {
    later();
  }
};
const save = (moved) => {
  clearTimeout(saving);
  moves += 1;
  moved.forEach((tile) => { tile.dataset.dirty = String(moves); });
  saving = setTimeout(sendPlaces, 250);
};
window.addEventListener('pagehide', sendPlaces);
const together = (tile) => {
  const chosen = tile.classList.contains('more') ? tiles().filter((t) => t.classList.contains('more')) : [tile];
  const groups = new Set(chosen.map((t) => t.dataset.group).filter(Boolean));
  return tiles().filter((t) => chosen.includes(t) || (t.dataset.group && groups.has(t.dataset.group)));
};
const move = (moved, dx, dy) => {
  moved.forEach((tile) => {
    tile.dataset.x = Math.max(0, numberOf(tile, 'x') + dx);
    tile.dataset.y = Math.max(0, numberOf(tile, 'y') + dy);
    tile.style.left = `${numberOf(tile, 'x') * zoom}px`;
    tile.style.top = `${numberOf(tile, 'y') * zoom}px`;
  });
};
const resize = (tile, width) => {
  tile.dataset.width = Math.max(40, Math.min(4000, width));
  tile.style.width = `${numberOf(tile, 'width') * zoom}px`;
};

let drag = null;
if (isFree) {
  work.classList.add('free');
  placeAll();
  wall.addEventListener('pointerdown', (event) => {
    const tile = event.target.closest('.tile');
    if (!tile || event.button !== 0 || event.ctrlKey || event.shiftKey) return;
    drag = {
      tile, id: event.pointerId, x: event.clientX, y: event.clientY, moved: false,
      grip: event.target.closest('.grip') !== null, width: numberOf(tile, 'width'), all: together(tile),
    };
  });
  wall.addEventListener('pointermove', (event) => {
    if (!drag || event.pointerId !== drag.id) return;
    const dx = event.clientX - drag.x;
    const dy = event.clientY - drag.y;
    if (!drag.moved && Math.hypot(dx, dy) < 4) return;
    if (!drag.moved) { drag.moved = true; drag.tile.setPointerCapture(drag.id); }
    if (drag.grip) {
      resize(drag.tile, drag.width + dx / zoom);
    } else {
      move(drag.all, dx / zoom, dy / zoom);
      drag.x = event.clientX;
      drag.y = event.clientY;
    }
  });
  const end = () => {
    if (drag?.moved) {
      save(drag.all);
      // The click that follows a drag is no click.
      drag.tile.addEventListener('click', (event) => event.preventDefault(), { once: true });
      setTimeout(layFree, 0);
    }
    drag = null;
  };
  wall.addEventListener('pointerup', end);
  wall.addEventListener('pointercancel', end);
}

/* ---------- how it is seen ---------- */
const look = (name) => {
  ['grey', 'squint'].forEach((l) => wall.classList.toggle(`look-${l}`, l === name));
  document.querySelectorAll('.im img').forEach((image) => {
    image.style.filter = name === 'values' ? 'url(#values)' : '';
  });
  document.querySelectorAll('[data-look]').forEach((b) => b.setAttribute('aria-pressed', String(b.dataset.look === name)));
  sessionStorage.setItem('pen-mirror-look', name);
};
document.querySelectorAll('[data-look]').forEach((button) => button.addEventListener('click', (event) => {
  event.preventDefault();
  look(button.dataset.look);
}));
const flip = document.querySelector('[data-flip]');
flip.addEventListener('click', (event) => {
  event.preventDefault();
  flip.setAttribute('aria-pressed', String(wall.classList.toggle('flipped')));
});

/* ---------- several at once ---------- */
const many = () => tiles().filter((tile) => tile.classList.contains('more'));
/** @type {?Array<string>} */
let one = null;
const showMany = () => {
  const chosen = many();
  const on = chosen.length > 1;
  document.querySelector('.right').classList.toggle('many-on', on);
  const title = document.getElementById('chosen-title');
  title.dataset.one ??= title.textContent;
  title.textContent = on ? title.dataset.many.replace('{0}', chosen.length) : title.dataset.one;
  const describe = describing();
  if (!describe) return;
  // Whoever chooses several wants to say something of them.
  if (on) describe.closest('details')?.setAttribute('open', '');
  const button = document.getElementById('save');
  button.dataset.one ??= button.textContent;
  button.textContent = on ? button.dataset.many : button.dataset.one;
  describe.action = on ? describe.dataset.many : describe.dataset.one;
  describe.querySelectorAll('input[name=works]').forEach((field) => field.remove());
  const fields = [...describe.querySelectorAll('select, input[type=text], input:not([type]), textarea')];
  if (on) {
    one ??= fields.map((field) => field.value);
    fields.forEach((field) => { field.value = ''; });
    chosen.forEach((tile) => {
      const field = document.createElement('input');
      Object.assign(field, { type: 'hidden', name: 'works', value: tile.dataset.id });
      describe.append(field);
    });
  } else if (one) {
    fields.forEach((field, i) => { field.value = one[i]; });
    one = null;
  }
  describe.querySelectorAll('.one input').forEach((field) => { field.disabled = on; });
  showDesk();
};
const toggle = (tile) => {
  const shown = document.querySelector('.tile.sel');
  if (many().length === 0 && shown !== tile) shown?.classList.add('more');
  tile.classList.toggle('more');
  showMany();
};
wall.addEventListener('click', (event) => {
  const tile = event.target.closest('.tile');
  if (!tile || !(event.ctrlKey || event.metaKey || event.shiftKey)) return;
  event.preventDefault();
  toggle(tile);
});
const showDesk = () => {
  const desk = document.getElementById('desk');
  const ids = many().length ? many().map((t) => t.dataset.id) : [document.querySelector('.tile.sel')?.dataset.id].filter(Boolean);
  desk.href = `${desk.dataset.desk}?works=${ids.slice(0, 3).join(',')}`;
};

/* ---------- coverage: which works a cell counts ---------- */
document.addEventListener('click', (event) => {
  const cell = event.target.closest('.cov button');
  if (!cell) return;
  const on = cell.getAttribute('aria-pressed') !== 'true';
  document.querySelectorAll('.cov button').forEach((c) => c.setAttribute('aria-pressed', 'false'));
  cell.setAttribute('aria-pressed', String(on));
  tiles().forEach((tile) => {
    const shows = tile.dataset.view === cell.dataset.view && tile.dataset.parts.split(',').includes(cell.dataset.part);
    tile.classList.toggle('dim', on && !shows);
  });
});
const more = document.getElementById('more');
if (more) {
  more.parentElement.classList.add('costs-short');
  more.addEventListener('click', () => { more.parentElement.classList.remove('costs-short'); more.remove(); });
}
document.getElementById('order')?.addEventListener('change', (event) => event.target.form.submit());

/* ---------- pictures coming in ---------- */
const uploads = document.getElementById('uploads');
const queue = [];
let running = 0;
let anyTaken = false;
const line = (file) => {
  const item = document.createElement('li');
  const name = document.createElement('span');
  const state = document.createElement('span');
  const stop = document.createElement('button');
  const bar = document.createElement('progress');
  name.textContent = file.name;
  state.textContent = uploads.dataset.waiting;
  stop.type = 'button';
  stop.textContent = uploads.dataset.stop;
  bar.max = 1;
  bar.value = 0;
  bar.setAttribute('aria-label', file.name);
  item.append(name, state, stop, bar);
  uploads.append(item);
  return { file, item, state, stop, bar };
};
const done = (entry, text) => {
  entry.state.textContent = text;
  entry.stop.textContent = uploads.dataset.close;
  entry.item.classList.add('ended');
  entry.stop.onclick = () => { entry.item.remove(); offerToCloseAll(); };
  entry.bar.remove();
  offerToCloseAll();
};
/** One button for all that nothing more comes of, once there are several. */
const offerToCloseAll = () => {
  const ended = uploads.querySelectorAll('.ended');
  const all = uploads.querySelector('.all');
  if (ended.length < 3) {
    all?.remove();
  } else if (!all) {
    const item = document.createElement('li');
    const button = document.createElement('button');
    item.className = 'all';
    button.type = 'button';
    button.textContent = uploads.dataset.closeall;
    button.onclick = () => uploads.querySelectorAll('.ended, .all').forEach((line) => line.remove());
    item.append(button);
    uploads.prepend(item);
  }
};
const tell = (entry, text) => {
  const fault = document.createElement('p');
  fault.className = 'fault';
  fault.setAttribute('role', 'alert');
  fault.textContent = text;
  entry.item.append(fault);
};
const next = () => {
  if (running === 0 && queue.length === 0) {
    if (anyTaken) renew().catch(() => {});
    anyTaken = false;
    return;
  }
  while (running < 2 && queue.length > 0) send(queue.shift());
};
const send = (entry) => {
  running += 1;
  const request = new XMLHttpRequest();
  const body = new FormData();
  body.append('files', entry.file, entry.file.name);
  request.open('POST', form.action);
  Object.entries(headers()).forEach(([key, value]) => request.setRequestHeader(key, value));
  request.setRequestHeader('HX-Request', 'true');
  request.upload.onprogress = (event) => {
    entry.bar.value = event.loaded / event.total;
    entry.state.textContent = `${Math.round((100 * event.loaded) / event.total)} %`;
    if (event.loaded === event.total) entry.bar.removeAttribute('value');
  };
  request.onload = () => {
    const answer = new DOMParser().parseFromString(request.responseText, 'text/html');
    const faults = [...answer.querySelectorAll('.fault')];
    if (request.status < 400) anyTaken = true;
    if (entry.key !== undefined && request.status < 500) letGo(entry.key);
    done(entry, faults.length ? '' : uploads.dataset.done);
    faults.forEach((fault) => tell(entry, fault.textContent));
    if (!faults.length) { entry.item.remove(); offerToCloseAll(); }
  };
  request.onerror = () => done(entry, uploads.dataset.lost);
  request.onabort = () => {
    if (!isLeaving) { done(entry, uploads.dataset.stopped); if (entry.key !== undefined) letGo(entry.key); }
  };
  request.onloadend = () => { running -= 1; next(); };
  entry.stop.onclick = () => request.abort();
  request.send(body);
};
let isLeaving = false;
window.addEventListener('pagehide', () => { isLeaving = true; });
/**
 * @param {!Array<!File>|!FileList} files
 * @param {!Array<number>=} keys by which they wait in the browser, where another page gave them
 */
const takeIn = (files, keys = []) => {
  Array.from(files).forEach((file, i) => {
    const entry = { ...line(file), key: keys[i] };
    entry.stop.onclick = () => {
      queue.splice(queue.indexOf(entry), 1);
      done(entry, uploads.dataset.stopped);
      if (entry.key !== undefined) letGo(entry.key);
    };
    queue.push(entry);
  });
  next();
};
form.addEventListener('submit', (event) => event.preventDefault());
input.addEventListener('change', () => { takeIn(input.files); form.reset(); });
receive(work, ({ files }) => takeIn(files));
handedOver(window.location.pathname).then((waiting) => {
  if (waiting.length) takeIn(waiting.map((w) => w.file), waiting.map((w) => w.key));
}, () => {}); // A browser that keeps no files hands none over.

/* ---------- what comes by itself ---------- */
const RENEW_EVERY = 1500;
/** Tiles on the screen: what is seen is looked at first. */
const onScreen = () => {
  const frame = work.getBoundingClientRect();
  return tiles().filter((tile) => {
    const box = tile.getBoundingClientRect();
    return box.bottom > frame.top && box.top < frame.bottom;
  }).map((tile) => tile.dataset.id);
};
/** Parts of the page that say what is known are made anew; what somebody types is left alone. */
const renew = async () => {
  const address = new URL(window.location.href);
  address.searchParams.set('shown', onScreen().slice(0, 60).join(','));
  const answer = await fetch(address, { headers: { Accept: 'text/html' } });
  if (!answer.ok || drag) return;
  const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
  const chosen = new Set(many().map((tile) => tile.dataset.id));
  const focused = document.activeElement?.closest('.tile')?.dataset.id;
  document.querySelectorAll('[data-renewed]').forEach((part) => {
    const now = page.querySelector(`[data-renewed="${part.dataset.renewed}"]`);
    // A form somebody is in is left alone.
    if (!now || now.innerHTML === part.dataset.html || part.querySelector('details[open]')) return;
    part.dataset.html = now.innerHTML;
    part.className = now.className;
    if (now.dataset.busy !== undefined) part.dataset.busy = now.dataset.busy;
    part.replaceChildren(...now.childNodes);
  });
  // The first picture brings the panel about it; later ones leave what is being said of another.
  const panel = document.getElementById('about-chosen');
  const first = page.getElementById('about-chosen');
  if (panel.childElementCount === 0) panel.replaceChildren(...first.childNodes);
  tiles().forEach((tile) => {
    tile.classList.toggle('more', chosen.has(tile.dataset.id));
    if (tile.dataset.id === focused) tile.focus({ preventScroll: true });
  });
  document.querySelector('label.empty')?.toggleAttribute('hidden', tiles().length > 0);
  if (isFree) placeAll();
  lay();
  look(sessionStorage.getItem('pen-mirror-look') ?? 'colour');
};
const isBusy = () => document.querySelector('[data-renewed="seen"]')?.dataset.busy === 'true' || running > 0;
const keepRenewing = async () => {
  if (isBusy() && !document.hidden) await renew().catch(() => {});
  setTimeout(keepRenewing, RENEW_EVERY);
};
setTimeout(keepRenewing, RENEW_EVERY);

/* ---------- keys ---------- */
document.querySelectorAll('[data-zoom]').forEach((button) => button.addEventListener('click', () => {
  if (button.dataset.zoom === 'fit') fit();
  else setZoom(zoom * (button.dataset.zoom === 'in' ? 1.25 : 0.8));
}));
work.addEventListener('wheel', (event) => {
  if (!event.ctrlKey) return;
  event.preventDefault();
  setZoom(zoom * (event.deltaY < 0 ? 1.1 : 0.9));
}, { passive: false });
// The grey itself is dragged to pan.
let pan = null;
work.addEventListener('pointerdown', (event) => {
  if (event.button !== 0 || event.pointerType === 'touch' || event.target.closest('a, button, form, label, li, section.alike')) return;
  pan = { x: event.clientX + work.scrollLeft, y: event.clientY + work.scrollTop };
  work.classList.add('panning');
});
document.addEventListener('pointermove', (event) => {
  if (pan) work.scrollTo(pan.x - event.clientX, pan.y - event.clientY);
});
['pointerup', 'pointercancel'].forEach((name) => document.addEventListener(name, () => {
  pan = null;
  work.classList.remove('panning');
}));
const arrows = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
document.addEventListener('keydown', (event) => {
  if (typing(event)) return;
  const all = tiles();
  const focused = document.activeElement?.classList.contains('tile') ? document.activeElement : null;
  const at = all.indexOf(focused ?? document.querySelector('.tile.sel'));
  const arrow = arrows[event.key];
  const letter = lettersOn() ? event.key.toLowerCase() : '';
  if (arrow && isFree && event.shiftKey && focused) {
    const moved = together(focused);
    move(moved, arrow[0] * 10, arrow[1] * 10);
    save(moved);
  } else if (arrow && arrow[0] !== 0) {
    all[Math.max(0, Math.min(all.length - 1, at + arrow[0]))]?.focus();
  } else if ((event.key === '[' || event.key === ']') && isFree && focused) {
    resize(focused, numberOf(focused, 'width') * (event.key === ']' ? 1.1 : 1 / 1.1));
    save([focused]);
  } else if (event.key === ' ' && focused) {
    toggle(focused);
  } else if (event.key === 'Enter' && focused) {
    window.location.href = focused.dataset.bench;
  } else if (event.key === 'Escape' && many().length) {
    many().forEach((tile) => tile.classList.remove('more'));
    showMany();
  } else if (event.key === '+' || event.key === '=') {
    setZoom(zoom * 1.25);
  } else if (event.key === '-') {
    setZoom(zoom * 0.8);
  } else if (event.key === '0') {
    fit();
  } else if (letter === 'a') {
    input.click();
  } else if (letter === 'l') {
    document.getElementById('look-through')?.click();
  } else if (letter === 'd') {
    document.getElementById('desk').click();
  } else if (letter === 'x') {
    document.querySelector('#leave-out button')?.click();
  } else if (letter === 'v') {
    document.getElementById('view')?.focus();
  } else if (letter === 'g' && isFree && many().length > 1) {
    const chosen = many();
    const same = chosen[0].dataset.group && chosen.every((t) => t.dataset.group === chosen[0].dataset.group);
    const group = 1 + Math.max(0, ...all.map((t) => Number(t.dataset.group ?? 0)));
    chosen.forEach((tile) => { if (same) delete tile.dataset.group; else tile.dataset.group = group; });
    save(chosen);
  } else {
    return;
  }
  event.preventDefault();
});

new ResizeObserver(() => lay()).observe(work);
look(sessionStorage.getItem('pen-mirror-look') ?? 'colour');
// Freely placed works may reach far: the first look is at all of them.
if (isFree && !localStorage.getItem(ZOOM)) fit();
else lay();
