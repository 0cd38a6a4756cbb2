// What pointer, pen and fingers do over the picture, told as what is meant: a point is dragged, the
// picture is moved, brought closer, or tapped.

/** A finger grabs from farther away than a pen or a mouse, pixels of the screen. */
const REACH_TOUCH = 22;
const REACH = 12;
/** So near a point is grabbed even while another waits to be placed. */
const SURE = 7;
/** A hand that moves less only tapped. */
const TREMBLE = 4;

export class Pointing {
  /**
   * @param {!SVGElement} art
   * @param {!Object} bench what happens: view, pixel, move(place), tap(place, event), grab(place, reach,
   *   sure), drag(place), drop(moved), look(view), zoom(factor, at), isTool, useTool(place)
   */
  constructor(art, bench) {
    this.art = art;
    this.bench = bench;
    this.touches = new Map();
    this.apart = 0;
    this.dragging = null;
    this.panning = null;
    art.addEventListener('pointerdown', (event) => this.down(event));
    art.addEventListener('pointermove', (event) => this.move(event));
    art.addEventListener('pointerup', (event) => this.release(event));
    art.addEventListener('pointercancel', (event) => this.release(event));
    art.addEventListener('wheel', (event) => {
      event.preventDefault();
      bench.zoom(Math.exp(-event.deltaY / 500), this.place(event));
    }, { passive: false });
  }

  /** @private */
  place(event) {
    return this.bench.view().placeOf(event, this.art.getBoundingClientRect());
  }

  /** @private */
  fingers() {
    const [a, b] = [...this.touches.values()];
    return {
      apart: Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY),
      middle: { clientX: (a.clientX + b.clientX) / 2, clientY: (a.clientY + b.clientY) / 2 },
    };
  }

  /** @private */
  down(event) {
    this.bench.begin();
    this.art.setPointerCapture(event.pointerId);
    this.touches.set(event.pointerId, event);
    if (this.touches.size === 2) {
      this.apart = this.fingers().apart;
      this.dragging = null;
      this.panning = null;
      return;
    }
    const place = this.place(event);
    this.bench.move(place);
    const isMain = event.button === 0;
    if (isMain && this.bench.hasTool()) {
      this.bench.useTool(place);
      return;
    }
    const reach = event.pointerType === 'touch' ? REACH_TOUCH : REACH;
    const grabbed = isMain && !event.altKey ? this.bench.grab(place, reach, SURE) : null;
    if (grabbed) {
      this.dragging = { dx: grabbed.x - place.x, dy: grabbed.y - place.y, moved: false };
    } else {
      this.panning = { x: event.clientX, y: event.clientY, view: this.bench.view(), moved: false, isMain };
    }
  }

  /** @private */
  move(event) {
    if (this.touches.has(event.pointerId)) this.touches.set(event.pointerId, event);
    if (this.apart && this.touches.size === 2) {
      const { apart, middle } = this.fingers();
      this.bench.zoom(apart / this.apart, this.place(middle));
      this.apart = apart;
      return;
    }
    const place = this.place(event);
    this.bench.move(place);
    if (this.dragging) {
      this.dragging.moved = true;
      this.bench.drag({ x: place.x + this.dragging.dx, y: place.y + this.dragging.dy });
    } else if (this.panning) {
      const dx = event.clientX - this.panning.x;
      const dy = event.clientY - this.panning.y;
      if (Math.hypot(dx, dy) > TREMBLE) this.panning.moved = true;
      const pixel = this.bench.pixel();
      if (this.panning.moved) this.bench.look(this.panning.view.moved(-dx * pixel, -dy * pixel));
    } else {
      this.bench.hover();
    }
  }

  /** @private */
  release(event) {
    this.touches.delete(event.pointerId);
    if (this.touches.size < 2) this.apart = 0;
    const { dragging, panning } = this;
    this.dragging = null;
    this.panning = null;
    if (dragging) this.bench.drop(dragging.moved);
    else if (panning && !panning.moved && panning.isMain) this.bench.tap(this.place(event));
  }
}
