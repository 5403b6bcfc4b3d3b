import { fold } from '@anbau/core/catalog';

/** What stands after the colon in the tags that begin so: `lead: 15 days` with `lead` gives `15 days`. */
export function restsOfTag(tags: readonly string[], beginning: string): string[] {
	const wanted = fold(beginning);
	const rests: string[] = [];
	for (const tag of tags) {
		const colon = tag.indexOf(':');
		if (colon < 0 || fold(tag.slice(0, colon)) !== wanted) continue;
		const rest = tag.slice(colon + 1).trim();
		if (rest !== '') rests.push(rest);
	}
	return rests;
}
