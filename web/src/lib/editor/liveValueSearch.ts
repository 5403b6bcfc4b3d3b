import { liveValueLabel, PLAIN_VALUES } from '@anbau/core/pieces';
import type { Sources } from './sources.js';

/** The live values that a text finds by their labels: of the product, attributes, delivery, and rests of tags. */
export function findLiveValues(
	text: string,
	sources: Sources,
	beginnings: readonly string[]
): { value: string; label: string }[] {
	const all = [
		...PLAIN_VALUES.map(({ name, label }) => ({ value: name, label })),
		...sources.attributes().map(({ code, label }) => {
			const name = `attribute.${code}`;
			return { value: name, label: liveValueLabel(name, () => label) };
		}),
		...beginnings.map((beginning) => ({ value: `tag.${beginning}`, label: liveValueLabel(`tag.${beginning}`) }))
	];
	const wanted = text.trim().toLowerCase();
	return all.filter(({ label }) => label.toLowerCase().includes(wanted));
}
