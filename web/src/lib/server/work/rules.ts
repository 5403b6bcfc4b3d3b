import { z } from 'zod';
import { factsOfProduct } from '@anbau/core/catalog';
import { GUEST } from '@anbau/core/pieces';
import { CompiledRelease, explainPiece, type Explanation } from '@anbau/core/placement';
import {
	goneNames,
	meantTags,
	parseRule,
	reach,
	reachByCategory,
	type GoneName,
	type MeantTag
} from '@anbau/core/rules';
import { findExceptions } from '../db/exceptions.js';
import { pieceBySlug } from '../db/pieces.js';
import { database } from '../db/pool.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { liveOn } from '../state/liveOn.js';
import { storeStates } from '../state/storeStates.js';

export interface ReachAnswer {
	total: number;
	matched: number;
	byCategory: { category: string; matched: number }[];
	sample: string[];
	gone: GoneName[];
	meant: MeantTag[];
}

/** Counts what a target reaches. */
export async function countReach(actor: Actor, input: unknown, now: number): Promise<ReachAnswer> {
	const { target } = readBy(z.strictObject({ target: z.unknown() }), input, 'The question');
	const reading = parseRule(target);
	if (!reading.ok) {
		const faults = reading.faults.map(({ at, message }) => ({ at: `/target${at}`, message }));
		throw new Problem('invalid', 422, 'The target cannot be taken as it is.', faults);
	}
	const { catalog } = await storeStates.byId(actor.storeId, now);
	const { index } = catalog;
	const set = reach(reading.rule, index, now);
	return {
		total: index.size,
		matched: set.count(),
		byCategory: reachByCategory(set, index).map(({ category, matched }) => ({ category, matched })),
		sample: index.keysOf(set, 20),
		gone: goneNames(reading.rule, index),
		meant: meantTags(reading.rule, index, set)
	};
}

export const explainSchema = z.strictObject({
	piece: z.string(),
	product: z.string(),
	visitor: z
		.strictObject({
			signedIn: z.boolean().default(false),
			groups: z.array(z.string()).default([]),
			campaign: z.string().nullable().default(null)
		})
		.optional(),
	at: z.iso.datetime({ offset: true }).optional()
});

/** Explains why the draft of a piece shows on a product's page or does not. */
export async function explain(actor: Actor, input: unknown, clock: number): Promise<Explanation> {
	const question = readBy(explainSchema, input, 'The question');
	const now = question.at === undefined ? clock : Date.parse(question.at);
	const state = await storeStates.byId(actor.storeId, clock);
	const { store, catalog, release } = state;
	const row = await pieceBySlug(database(), actor.storeId, question.piece);
	if (!row) throw notThere('/piece', `There is no piece with the slug “${question.piece}”.`);
	const product = catalog.product(question.product);
	if (!product) throw notThere('/product', `There is no product with the key “${question.product}”.`);
	const drafts = await findExceptions(database(), actor.storeId, { piece: row.slug });
	const others = release.content.exceptions.filter((one) => !('piece' in one) || one.piece !== row.slug);
	const exceptions = [...others, ...drafts.map(({ exception }) => exception)];
	const content = { ...release.content, exceptions, pieces: { ...release.content.pieces, [row.slug]: row.doc } };
	const draft = new CompiledRelease(release.number, content, store.zone, (slug) => slug === row.slug && !row.on, now);
	const facts = factsOfProduct(product);
	const live = liveOn(state, facts.page, product, now);
	const visitor = question.visitor ?? GUEST;
	return explainPiece({
		slug: row.slug,
		piece: row.doc,
		on: row.on,
		product,
		facts,
		live,
		circumstances: { visitor, now, zone: store.zone },
		exceptions,
		hooks: content.hooks,
		names: {
			category: catalog.categoryTitle,
			product: (key) => catalog.product(key)?.title,
			attribute: (code) => catalog.attribute(code)?.label
		},
		document: draft.resolve({ facts, live, visitor, now })
	});
}

function notThere(at: string, message: string): Problem {
	return new Problem('not-found', 404, message, [{ at, message: 'names nothing that is there' }]);
}
