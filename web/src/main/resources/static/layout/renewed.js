// A page that renews itself when there is something new, and stays out of the way of whoever is leaving it:
// loading it again would call off the link that was just followed.

/** So long a followed link may take, milliseconds; what was only taken away as a file is over by then. */
const ON_THE_WAY = 8000;

let left = -Infinity;
window.addEventListener('beforeunload', () => { left = performance.now(); });

/**
 * Loads the page again, but not while a link is being followed.
 * @param {function()} load
 * @return {boolean} whether it did
 */
export function renew(load = () => window.location.reload()) {
  if (performance.now() - left < ON_THE_WAY) return false;
  load();
  return true;
}
