/** What only a theme needs that was not made for us, and pieces between parts of its own: loaded when there is such. */
export { byBinding } from './bound.js';
export { placeElsewhere } from './places.js';
export { stripAt } from './strips.js';
export { adopting, clearWoven } from './woven.js';
