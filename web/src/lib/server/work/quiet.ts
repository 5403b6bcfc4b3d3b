import { setImmediate } from 'node:timers/promises';
import { z } from 'zod';
import { factsOfProduct } from '@anbau/core/catalog';
import { pieceSchema, QuietReport, renderPiece, type QuietAnswer } from '@anbau/core/pieces';
import { exceptionsByPiece, reachOfPiece } from '@anbau/core/placement';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { liveOn } from '../state/liveOn.js';
import { storeStates } from '../state/storeStates.js';
import { splitPieceInput } from './pieceInput.js';

/** How many products are rendered before others get their turn. */
const STEP = 100;

const questionSchema = z.strictObject({ slug: z.string().max(100).default('piece'), piece: z.unknown() });

/** Says on how many of the products that a piece reaches it, or a part of it, stays away. Stops when it is given up. */
export async function quietOn(actor: Actor, input: unknown, now: number, signal: AbortSignal): Promise<QuietAnswer> {
	const question = readBy(questionSchema, input, 'The question');
	const { on: _on, ...rest } = splitPieceInput(question.piece);
	const piece = readBy(pieceSchema, rest, 'The piece');
	const state = await storeStates.byId(actor.storeId, now);
	const { index } = state.catalog;
	const exceptions = exceptionsByPiece(state.release.content.exceptions)(question.slug);
	const report = new QuietReport();
	const keys = index.keysOf(reachOfPiece(piece, exceptions, index, now), index.size);
	for (const [i, key] of keys.entries()) {
		if (i % STEP === STEP - 1) await setImmediate();
		if (signal.aborted) throw new Problem('cancelled', 409, 'The question was given up.');
		const product = state.catalog.product(key);
		if (!product) continue;
		const { page } = factsOfProduct(product);
		report.add(key, renderPiece(question.slug, piece, liveOn(state, page, product, now)));
	}
	return report.answer();
}
