// A redraw dropped on the plan goes to its verdict.

import { takeRedraws } from '../layout/redrawn.js';

takeRedraws(/** @type {!HTMLInputElement} */ (document.getElementById('redraw-file')));
