import { html, type Html } from '../html.js';

/** A place in the theme where Anbau may hang something. */
export function hook(id: string): Html {
	return html`<div data-anbau-hook="${id}"></div>`;
}
