import { z } from 'zod';
import { exceptionSchemaFor } from '@anbau/core/placement';
import { pieceSchema } from '@anbau/core/pieces';
import { writeAudit } from '../db/audit.js';
import { findExceptions, saveException } from '../db/exceptions.js';
import { allMedia, replaceInValues, valuesNaming, type MediaRow } from '../db/media.js';
import { tell } from '../db/notify.js';
import { allPieces, savePiece } from '../db/pieces.js';
import { database, transaction } from '../db/pool.js';
import { latestRelease } from '../db/releases.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';

/** What names an upload wherever one is shown. */
export function addressOf({ sha256, ending }: Pick<MediaRow, 'sha256' | 'ending'>): string {
	return `media:${sha256}.${ending}`;
}

/** Says of an upload what shows it: pieces as drafted or published, texts of one product, values, films. */
export async function usesOfMedia(actor: Actor): Promise<(row: MediaRow) => Promise<string[]>> {
	const db = database();
	const drafts = (await allPieces(db, actor.storeId)).filter(({ removed }) => !removed).map(({ doc }) => doc);
	const published = Object.values((await latestRelease(db, actor.storeId))?.content.pieces ?? {});
	const own = await findExceptions(db, actor.storeId);
	const films = (await allMedia(db, actor.storeId)).filter(({ removed }) => !removed);
	const written = [
		...[...drafts, ...published].map((piece) => ({ name: piece.name, text: JSON.stringify(piece) })),
		...own.map(({ exception }) => ({ name: `own text on ${exception.product}`, text: JSON.stringify(exception) })),
		...films.map(({ name, poster, captions }) => ({ name, text: `${poster} ${captions}` }))
	];
	return async (row) => {
		const address = addressOf(row);
		const named = written.filter(({ text }) => text.includes(address)).map(({ name }) => name);
		return [...new Set([...named, ...(await valuesNaming(db, actor.storeId, address))])];
	};
}

export const replacementSchema = z.strictObject({
	/** The SHA-256 of the upload that comes in its place. */
	by: z.string().regex(/^[0-9a-f]{64}$/, 'must be the SHA-256 of an upload')
});

/** What a replacement changed: drafts wait for a release, values act at once. */
export interface Replaced {
	pieces: number;
	products: number;
}

/** Puts one upload in the place of another, in every draft, own text and value. */
export async function replaceMedia(actor: Actor, sha256: string, input: unknown): Promise<Replaced> {
	const { by } = readBy(replacementSchema, input, 'The replacement');
	const rows = await allMedia(database(), actor.storeId);
	const [old, next] = [sha256, by].map((wanted) => rows.find((row) => row.sha256 === wanted));
	if (!old || !next || next.removed) throw new Problem('not-found', 404, 'There is no such file on the shelf.');
	if (old.facts.kind !== next.facts.kind)
		throw new Problem('invalid', 422, 'The file cannot be replaced.', [
			{ at: '/by', message: `is of another kind: ${next.facts.kind}, not ${old.facts.kind}` }
		]);
	const [from, to] = [addressOf(old), addressOf(next)];
	const changed = await transaction(async (client) => {
		const rewritten = <T>(value: T): T | null => {
			const text = JSON.stringify(value);
			return text.includes(from) ? (JSON.parse(text.replaceAll(from, to)) as T) : null;
		};
		let pieces = 0;
		for (const { slug, doc, on, removed } of await allPieces(client, actor.storeId)) {
			const changed = removed ? null : rewritten(doc);
			if (!changed) continue;
			await savePiece(client, actor.storeId, slug, readBy(pieceSchema, changed, 'The piece'), on, actor.name);
			pieces++;
		}
		for (const { exception } of await findExceptions(client, actor.storeId)) {
			const changed = rewritten(exception);
			if (changed)
				await saveException(
					client,
					actor.storeId,
					readBy(exceptionSchemaFor(changed), changed, 'The exception'),
					actor.name
				);
		}
		const products = await replaceInValues(client, actor.storeId, from, to);
		await writeAudit(client, actor, 'replace', `media ${sha256}`, { from }, { to, pieces, products: products.length });
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'catalog' });
		return { pieces, products: products.length };
	});
	await storeStates.reloadCatalog(actor.storeId);
	return changed;
}
