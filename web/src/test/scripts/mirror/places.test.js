import { loop, points } from '../mirror/places.js';
import { equal, test } from '../checks.js';

test('places are read as they are written', () => {
  equal(JSON.stringify(points('120,340.5 480,341')), '[[120,340.5],[480,341]]');
  equal(points('').length, 0);
});

test('every place has its loop, and the one at hand is heavier', () => {
  document.body.innerHTML = `<svg><g id="marks"><path/></g></svg>
    <ul data-radius="12"><li tabindex="0" data-places="1,2 3,4">Thin</li><li tabindex="0" data-places="5,6">Heavy</li></ul>`;
  const group = document.getElementById('marks');
  loop(document.querySelector('ul'), group);
  const rings = [...group.querySelectorAll('.loop')];
  equal(group.querySelector('path'), null);
  equal(rings.map((ring) => `${ring.getAttribute('cx')} ${ring.getAttribute('r')}`).join('|'), '1 12|3 12|5 12');
  const row = document.querySelector('li');
  row.focus();
  equal(rings.map((ring) => ring.classList.contains('now')).join(), 'true,true,false');
  row.blur();
  equal(group.querySelectorAll('.now').length, 0);
});
