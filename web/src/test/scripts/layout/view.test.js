import { View } from '../layout/view.js';
import { equal, near, test } from '../checks.js';

const box = { left: 100, top: 50, width: 800, height: 400 };
const picture = { width: 1000, height: 1000 };

test('a fitted view holds the whole picture in its middle, in the shape of the box', () => {
  const view = View.fitted(picture, box, 1.06);
  near(view.width / view.height, 2, 1e-9);
  equal(view.height, 1060);
  equal(view.middle(), { x: 500, y: 500 });
});

test('a wide picture is fitted by its width', () => {
  const view = View.fitted({ width: 4000, height: 100 }, box, 1);
  equal(view.width, 4000);
  equal(view.height, 2000);
});

test('a box without height does not break the fit', () => {
  const view = View.fitted(picture, { width: 10, height: 0 }, 1);
  equal(Number.isFinite(view.height), true);
});

test('coming closer leaves the place under the pointer where it is', () => {
  const view = View.fitted(picture, box, 1);
  const screen = { clientX: 321, clientY: 123 };
  const place = view.placeOf(screen, box);
  const closer = view.zoomed(3, place, 1, 1e6).placeOf(screen, box);
  near(closer.x, place.x, 1e-9);
  near(closer.y, place.y, 1e-9);
});

test('closer and back is the same view', () => {
  const view = new View(10, 20, 300, 200);
  const back = view.zoomed(1.4, { x: 77, y: 88 }, 1, 1e6).zoomed(1 / 1.4, { x: 77, y: 88 }, 1, 1e6);
  near(back.x, 10, 1e-9);
  near(back.width, 300, 1e-9);
  near(back.height, 200, 1e-9);
});

test('it stops at the closest and at the farthest, in its own shape', () => {
  const view = new View(0, 0, 300, 200);
  equal(view.zoomed(1e6, { x: 0, y: 0 }, 24, 8000).width, 24);
  equal(view.zoomed(1e6, { x: 0, y: 0 }, 24, 8000).height, 16);
  equal(view.zoomed(1e-6, { x: 0, y: 0 }, 24, 8000).width, 8000);
});

test('a place well inside leaves the view, one at the edge or outside comes to the middle', () => {
  const view = new View(0, 0, 200, 100);
  equal(view.showing({ x: 50, y: 50 }) === view, true);
  equal(view.showing({ x: 198, y: 50 }).middle(), { x: 198, y: 50 });
  equal(view.showing({ x: -40, y: 500 }).middle(), { x: -40, y: 500 });
});

test('about a place it is as high as asked', () => {
  const view = View.about({ x: 5, y: 7 }, 60, box);
  equal([view.height, view.width], [60, 120]);
  equal(view.middle(), { x: 5, y: 7 });
});

test('corners of the box are corners of the view', () => {
  const view = new View(10, 20, 400, 200);
  equal(view.placeOf({ clientX: 100, clientY: 50 }, box), { x: 10, y: 20 });
  equal(view.placeOf({ clientX: 900, clientY: 450 }, box), { x: 410, y: 220 });
  equal(view.pixel(box), 0.5);
  equal(view.viewBox(), '10 20 400 200');
  equal(view.moved(1, -2).viewBox(), '11 18 400 200');
});
