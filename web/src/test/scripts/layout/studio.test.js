import { fill, lettersOn, typing } from '../layout/studio.js';
import { make } from '../layout/svg.js';
import { equal, test } from '../checks.js';

const key = (target, held = {}) => ({ ctrlKey: false, metaKey: false, altKey: false, target, ...held });

test('places of a text are filled in their order', () => {
  equal(fill('{0} of {1}', 3, 'ten'), '3 of ten');
  equal(fill('nothing to fill'), 'nothing to fill');
});

test('letters work until they are turned off', () => {
  localStorage.removeItem('pen-mirror-letters');
  equal(lettersOn(), true);
  localStorage.setItem('pen-mirror-letters', 'off');
  equal(lettersOn(), false);
  localStorage.removeItem('pen-mirror-letters');
});

test('a key in a field is typed, on the page or a slider it is not', () => {
  const text = document.createElement('input');
  const slider = document.createElement('input');
  slider.type = 'range';
  equal(typing(key(text)), true);
  equal(typing(key(document.createElement('textarea'))), true);
  equal(typing(key(slider)), false);
  equal(typing(key(document.body)), false);
  equal(typing(key(document.body, { ctrlKey: true })), true);
});

test('nodes of a drawing carry their attributes and lie in their parent', () => {
  const group = make('g');
  const circle = make('circle', { r: 3, class: 'dot' }, group);
  equal(group.outerHTML, '<g><circle r="3" class="dot"></circle></g>');
  equal(circle.namespaceURI, 'http://www.w3.org/2000/svg');
});
