import { hashOf } from '@anbau/core/placement/onPage';
import type { Hold, Prepare, styled } from './slots.js';

/** Takes the elements that a server wove in, where they hold the very piece in the very words, and makes the others. */
export function adopting(root: Document, prepare: Prepare, make: Hold, style: typeof styled): Hold {
	return (name, attributes, html, head) => {
		const hash = hashOf(html);
		const known = [...root.querySelectorAll<HTMLElement>('.anbau[data-anbau-woven]')].find(
			({ dataset }) =>
				dataset.anbauWoven === hash &&
				dataset.anbauPiece === attributes['data-anbau-piece'] &&
				dataset.anbauPlacement === attributes['data-anbau-placement']
		);
		if (!known) return make(name, attributes, html, head);
		known.removeAttribute('data-anbau-woven');
		if (prepare(known)) return style(known);
		known.remove();
		return null;
	};
}

/** Takes out what a server wove in and is no longer to be shown. */
export function clearWoven(root: Document): void {
	for (const old of root.querySelectorAll('.anbau[data-anbau-woven], [data-anbau-made=woven-tabs]')) old.remove();
}
