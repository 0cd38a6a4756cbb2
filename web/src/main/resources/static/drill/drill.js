// Five minutes for the eye: whichever drill the page shows.

import './colour.js';
import './enter.js';
import './proportion.js';
