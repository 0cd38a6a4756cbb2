/**
 * @fileoverview What scripts find in the page and do not define themselves.
 * @externs
 */

/** @const {!Storage} */ var localStorage;
/** @const {!Storage} */ var sessionStorage;
/** @const {number} */ var devicePixelRatio;
/** @const {number} */ var innerWidth;
/** @const {number} */ var innerHeight;

/** @record */
function Htmx() {}
/** @type {function(!Element)} */ Htmx.prototype.process;
/** @type {function(string, string, (string|!Object))} */ Htmx.prototype.ajax;
/** @type {!Htmx|undefined} */ Window.prototype.htmx;

/** @type {function(?DOMMatrix): !DOMPoint} */ DOMPoint.prototype.matrixTransform;
/** @type {!FileList} */ ClipboardData.prototype.files;
/** @type {!Object<string, string>} */ SVGElement.prototype.dataset;

/**
 * What the server answers as JSON: readings that move, and where readings come from.
 * @record
 */
function Answer() {}
/** @type {?} */ Answer.prototype.head;
/** @type {?} */ Answer.prototype.rows;
/** @type {?} */ Answer.prototype.misses;
/** @type {?} */ Answer.prototype.edgeX;
/** @type {?} */ Answer.prototype.anchor;
/** @type {?} */ Answer.prototype.borders;
/** @type {?} */ Answer.prototype.chroma;
/** @type {?} */ Answer.prototype.hex;
/** @type {?} */ Answer.prototype.hue;
/** @type {?} */ Answer.prototype.maps;
/** @type {?} */ Answer.prototype.swatches;
