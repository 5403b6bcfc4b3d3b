import { bodiesOf, partsOf, snippetId } from '@anbau/core/pieces';
import type { ReleaseContent } from '@anbau/core/placement';
import { storeStates } from '../state/storeStates.js';

const found = new WeakMap<ReleaseContent, Map<string, string>>();

/** The code of a snippet that some published piece has; undefined when none has it. */
export async function publicSnippet(storeKey: string, id: string, now: number): Promise<string | undefined> {
	const state = await storeStates.byKey(storeKey, now);
	if (!state) return undefined;
	const { content } = state.release;
	let codes = found.get(content);
	if (!codes) found.set(content, (codes = snippetsOf(content)));
	return codes.get(id);
}

function snippetsOf({ pieces }: ReleaseContent): Map<string, string> {
	const codes = new Map<string, string>();
	for (const piece of Object.values(pieces)) {
		for (const { body } of bodiesOf(piece)) {
			for (const { part } of partsOf(body)) {
				if (part.type === 'snippet') codes.set(snippetId(part.attrs.code), part.attrs.code);
			}
		}
	}
	return codes;
}
