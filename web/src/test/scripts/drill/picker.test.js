import { picked } from '../drill/picker.js';
import { equal, test } from '../checks.js';

test('the corners of the cube are themselves', () => {
  equal(picked(0, 0, 0), 'rgb(0, 0, 0)');
  equal(picked(0, 0, 100), 'rgb(255, 255, 255)');
  equal(picked(0, 100, 100), 'rgb(255, 0, 0)');
  equal(picked(60, 100, 100), 'rgb(255, 255, 0)');
  equal(picked(120, 100, 100), 'rgb(0, 255, 0)');
  equal(picked(240, 100, 100), 'rgb(0, 0, 255)');
  equal(picked(300, 100, 100), 'rgb(255, 0, 255)');
});

test('a skin tone is what a picker shows for it', () => {
  equal(picked(30, 31, 94), 'rgb(240, 203, 165)');
});

test('without saturation the hue says nothing', () => {
  equal(picked(200, 0, 50), picked(20, 0, 50));
});
