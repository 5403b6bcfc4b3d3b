import { hookById } from '@anbau/core/pieces';
import type { PieceView } from '$lib/contracts.js';
import { request } from '$lib/desk/request.js';
import { counted } from '$lib/desk/words.js';
import { catalogIndex } from '$lib/reach/catalogIndex.js';

/** How many products are named. */
const NAMED = 3;

/** What deleting pieces takes from which pages, a line for each piece that is public. */
export async function takenFrom(pieces: readonly PieceView[]): Promise<string[]> {
	const lines: string[] = [];
	for (const piece of pieces) {
		const isPublic = piece.state.publication === 'live' || piece.state.publication === 'changed';
		if (!isPublic || piece.target === null || piece.reach === 0) continue;
		const body = { target: piece.target };
		const { sample } = await request<{ sample: string[] }>('/api/v1/reach', { method: 'POST', body });
		const { products } = await catalogIndex.ask('names', { products: sample.slice(0, NAMED) });
		const names = sample.slice(0, NAMED).map((key) => products[key] ?? key);
		const more = piece.reach > names.length ? ` and ${piece.reach - names.length} more` : '';
		const hooks = piece.placements.map(({ hook }) => hookById(hook)?.title ?? hook).join(', ');
		lines.push(
			`“${piece.name}” goes from ${counted(piece.reach, 'page')} (${hooks}) with the next release: ${names.join(', ')}${more}.`
		);
	}
	return lines;
}
