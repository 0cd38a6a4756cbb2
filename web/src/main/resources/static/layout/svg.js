// Nodes of drawings.

const SVG = 'http://www.w3.org/2000/svg';

/**
 * @param {string} name
 * @param {!Object<string, (string|number)>=} attributes
 * @param {?Element=} parent that it is added to
 * @return {!Element}
 */
export const make = (name, attributes = {}, parent = null) => {
  const node = document.createElementNS(SVG, name);
  for (const key of Object.keys(attributes)) node.setAttribute(key, String(attributes[key]));
  if (parent) parent.append(node);
  return node;
};
