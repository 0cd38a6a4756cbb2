// A redraw set into the picture of a work: dragged, sized and turned about; what is told of it
// follows where it stands.

import { headers, lettersOn, typing } from '../layout/studio.js';
import { keyed, moved, placed, sized, turn } from './stand.js';

/** Longer than between two steps of a held key. */
const PATIENCE = 250;

(() => {
  const stage = document.getElementById('companion');
  if (!stage) return;

  const figures = [...stage.querySelectorAll('.guest')].map((node) => {
    const form = document.getElementById(`stand-${node.dataset.figure}`);
    return {
      node,
      form,
      cut: {
        width: Number(node.dataset.width), height: Number(node.dataset.height), below: Number(node.dataset.below),
      },
      head: Number(node.dataset.head),
      timer: 0,
      waits: false,
      isSending: false,
    };
  });

  const field = (figure, name) => figure.form.elements[name];

  const read = (figure) => ({
    x: Number(field(figure, 'x').value),
    ground: Number(field(figure, 'ground').value),
    scale: Number(field(figure, 'scale').value),
    mirrored: field(figure, 'mirrored').checked,
    behind: Boolean(field(figure, 'behind')?.checked),
  });

  const told = (figure) => document.querySelector(`.stands[data-figure="${figure.node.dataset.figure}"] .told`);

  /** Where the server has it: a slider ends before a figure does that was dragged far out. */
  const held = (figure) => {
    const at = told(figure).dataset;
    return { x: Number(at.x), ground: Number(at.ground), scale: Number(at.scale) };
  };
  figures.forEach((figure) => { figure.stand = Object.assign(read(figure), held(figure)); });

  const theirs = stage.querySelector('.theirs');

  /** Those behind theirs come before it. What stands right already stays: a moved node loses the hand. */
  const layer = () => {
    if (!theirs) return;
    figures.forEach((figure) => {
      const isBefore = Boolean(theirs.compareDocumentPosition(figure.node) & Node.DOCUMENT_POSITION_PRECEDING);
      if (isBefore === figure.stand.behind) return;
      const had = document.activeElement === figure.node;
      if (figure.stand.behind) stage.insertBefore(figure.node, theirs); else stage.append(figure.node);
      if (had) figure.node.focus();
    });
    theirs.classList.toggle('before', figures.some((figure) => figure.stand.behind));
  };

  const draw = (figure) => {
    const at = placed(figure.stand, figure.cut);
    for (const part of figure.node.children) {
      for (const key of Object.keys(at)) part.setAttribute(key, String(at[key]));
    }
    figure.node.querySelector('image').setAttribute('transform', turn(figure.stand));
    layer();
  };

  const send = async (figure) => {
    if (figure.isSending) {
      figure.timer = window.setTimeout(() => send(figure), PATIENCE);
      return;
    }
    figure.isSending = true;
    figure.waits = false;
    const sent = figure.stand;
    const body = new URLSearchParams();
    for (const name of ['scene', 'with', 'figure']) body.set(name, field(figure, name).value);
    for (const name of Object.keys(sent)) body.set(name, String(sent[name]));
    const fault = figure.form.querySelector('.fault');
    try {
      const answer = await fetch(figure.form.action, {
        method: 'POST', headers: Object.assign({ 'HX-Request': 'true' }, headers()), body, keepalive: true,
      });
      if (!answer.ok) throw new Error(String(answer.status));
      told(figure).outerHTML = await answer.text();
      fault.hidden = true;
      if (figure.stand === sent) {
        figure.stand = Object.assign({}, sent, held(figure));
        draw(figure);
      }
    } catch {
      fault.textContent = figure.form.dataset.lost;
      fault.hidden = false;
    } finally {
      figure.isSending = false;
    }
  };

  /** Shows it there, and tells the server once it rests. */
  const put = (figure, stand) => {
    figure.stand = stand;
    draw(figure);
    for (const name of ['x', 'ground', 'scale']) field(figure, name).value = String(stand[name]);
    field(figure, 'mirrored').checked = stand.mirrored;
    if (field(figure, 'behind')) field(figure, 'behind').checked = stand.behind;
    figure.waits = true;
    window.clearTimeout(figure.timer);
    figure.timer = window.setTimeout(() => send(figure), PATIENCE);
  };

  let now = figures[0];
  const take = (figure) => {
    now = figure;
    figures.forEach((each) => each.node.classList.toggle('now', each === figure));
  };

  const at = (event) => new DOMPoint(event.clientX, event.clientY).matrixTransform(stage.getScreenCTM().inverse());

  figures.forEach((figure) => {
    let from = null;
    figure.node.addEventListener('pointerdown', (event) => {
      if (event.button !== 0) return;
      event.preventDefault();
      figure.node.focus();
      take(figure);
      from = { pointer: at(event), stand: figure.stand };
      figure.node.setPointerCapture(event.pointerId);
    });
    figure.node.addEventListener('pointermove', (event) => {
      if (!from) return;
      const to = at(event);
      put(figure, moved(from.stand, to.x - from.pointer.x, to.y - from.pointer.y));
    });
    const end = () => { from = null; };
    figure.node.addEventListener('pointerup', end);
    figure.node.addEventListener('pointercancel', end);
    figure.node.addEventListener('focus', () => take(figure));
    figure.node.addEventListener('wheel', (event) => {
      event.preventDefault();
      put(figure, sized(figure.stand, Math.exp(-event.deltaY / 1000)));
    }, { passive: false });
    figure.form.addEventListener('input', (event) => {
      take(figure);
      // A slider that ends before the figure does is not asked for what it cannot hold.
      const changed = read(figure);
      const name = event.target.name;
      put(figure, Object.assign({}, figure.stand, { [name]: changed[name] }));
    });
    figure.form.addEventListener('submit', (event) => event.preventDefault());
    draw(figure);
  });

  document.addEventListener('keydown', (event) => {
    if (!lettersOn() || typing(event) || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target.matches('input, select')) return;
    const stand = keyed(now.stand, event.key, event.shiftKey, now.head);
    if (!stand || (stand.behind && !theirs)) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    put(now, stand);
  }, true);
  // Nobody waits for the rest of a page that is left.
  window.addEventListener('pagehide', () => figures.filter((figure) => figure.waits).forEach((figure) => {
    window.clearTimeout(figure.timer);
    figure.isSending = false;
    send(figure);
  }));
})();
