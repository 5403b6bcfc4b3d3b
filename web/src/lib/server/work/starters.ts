import { pieceSchema, slugSchema, type Piece } from '@anbau/core/pieces';
import { writeAudit } from '../db/audit.js';
import { transaction, database } from '../db/pool.js';
import { allStarters, deleteStarter, saveStarter, type Starter } from '../db/starters.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { splitPieceInput } from './pieceInput.js';

/** The pieces that the owner kept to begin from. */
export function listStarters(actor: Actor): Promise<Starter[]> {
	return allStarters(database(), actor.storeId);
}

/** Keeps a piece as a starter: what it says and looks like, without where it hangs and whom it reaches. */
export async function putStarter(actor: Actor, slug: string, input: unknown): Promise<Starter> {
	const { on: _on, ...rest } = splitPieceInput(input);
	const piece = readBy(pieceSchema, rest, 'The piece');
	const doc: Piece = { ...piece, placements: [], target: null, audience: null, windows: [] };
	const starter = { slug: readBy(slugSchema, slug, 'The slug'), doc };
	await transaction(async (client) => {
		await saveStarter(client, actor.storeId, starter);
		await writeAudit(client, actor, 'keep', `starter ${slug}`, null, doc);
	});
	return starter;
}

export async function removeStarter(actor: Actor, slug: string): Promise<void> {
	await transaction(async (client) => {
		if (!(await deleteStarter(client, actor.storeId, slug)))
			throw new Problem('not-found', 404, `There is no starter “${slug}”.`);
		await writeAudit(client, actor, 'delete', `starter ${slug}`);
	});
}
