import {
	attributeCodeSchema,
	attributeFactsOf,
	attributeSchema,
	fullnessOf,
	planConversion,
	type AttributeDefinition,
	type AttributeValue,
	type Conversion,
	type Fullness
} from '@anbau/core/catalog';
import {
	allAttributes,
	deleteAttribute,
	lockedAttribute,
	saveAttribute,
	setCategoryValues,
	setProductValues,
	type ValueChange
} from '../db/attributes.js';
import { writeAudit } from '../db/audit.js';
import { tell } from '../db/notify.js';
import { database, lockStore, transaction, type Db } from '../db/pool.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import type { CatalogState } from '../state/catalogState.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';

/** A definition with how full it is, and codes that the catalogue has values of but that nobody defined. */
export interface AttributesView {
	attributes: (AttributeDefinition & { fullness: Fullness })[];
	undefinedCodes: { code: string; values: number; sample: string }[];
}

export function listAttributes(actor: Actor): Promise<AttributeDefinition[]> {
	return allAttributes(database(), actor.storeId);
}

export async function getAttribute(actor: Actor, code: string): Promise<AttributeDefinition> {
	const definition = (await listAttributes(actor)).find((one) => one.code === code);
	if (!definition) throw missing(code);
	return definition;
}

/** The definitions with how full each is, and the codes still to be defined. */
export async function attributesView(actor: Actor): Promise<AttributesView> {
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	const { definitions } = catalog;
	const ofProducts = fullnessOf(
		definitions.filter((one) => one.of === 'product'),
		[...catalog.products].filter((one) => one.visible)
	);
	const ofCategories = fullnessOf(
		definitions.filter((one) => one.of === 'category'),
		catalog.categories.map(({ key }) => ({ categories: [key], attributes: catalog.valuesOfCategory(key) }))
	);
	const none = { applies: 0, filled: 0, byCategory: {} };
	return {
		attributes: definitions.map((one) => ({
			...one,
			fullness: (one.of === 'product' ? ofProducts : ofCategories)[one.code] ?? none
		})),
		undefinedCodes: undefinedCodes(catalog)
	};
}

function undefinedCodes(catalog: CatalogState): AttributesView['undefinedCodes'] {
	const found = new Map<string, { values: number; sample: string }>();
	for (const { attributes } of catalog.products) {
		for (const [code, value] of Object.entries(attributes)) {
			if (catalog.attribute(code)) continue;
			const known = found.get(code);
			if (known) known.values++;
			else found.set(code, { values: 1, sample: String(value) });
		}
	}
	return [...found].map(([code, one]) => ({ code, ...one })).sort((a, b) => b.values - a.values);
}

/** What a change of a definition would do to the values that are there. Nothing is changed. */
export async function planAttribute(actor: Actor, code: string, input: unknown): Promise<Conversion> {
	const definition = { ...readBy(attributeSchema, withoutCode(input), 'The attribute'), code };
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	return planConversion(valuesOf(catalog, definition), definition);
}

/** The values of an attribute that are there; all of them where its kind of holder changes, as they belong nowhere then. */
function valuesOf(catalog: CatalogState, { code, of }: AttributeDefinition): { key: string; value: AttributeValue }[] {
	const holders =
		of === 'product'
			? [...catalog.products].map(({ key, attributes }) => ({ key, value: attributes[code] }))
			: catalog.categories.map(({ key }) => ({ key, value: catalog.categoryValue(key, code) }));
	return holders.flatMap(({ key, value }) => (value === undefined ? [] : [{ key, value }]));
}

export interface PutOptions {
	/** Only if the code is not taken. */
	onlyNew: boolean;
	/** Whether values that cannot be converted may be cleared. */
	drop: boolean;
}

/**
 * Writes a definition, and reads the values that are there anew by it. Values that the new definition cannot take stop
 * it, unless they may be cleared.
 */
export async function putAttribute(
	actor: Actor,
	code: string,
	input: unknown,
	{ onlyNew, drop }: PutOptions
): Promise<AttributeDefinition> {
	const goodCode = readBy(attributeCodeSchema, code, 'The code');
	const definition = { ...readBy(attributeSchema, withoutCode(input), 'The attribute'), code: goodCode };
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	await transaction(async (client) => {
		await lockStore(client, actor.storeId, 'catalog');
		const before = await lockedAttribute(client, actor.storeId, goodCode);
		if (before && onlyNew) throw codeTaken(before);
		if (!before || needsConversion(before, definition)) {
			const plan = planConversion(valuesOf(catalog, definition), definition);
			if (plan.lost.length > 0 && !drop) throw wouldLose(plan);
			await convert(client, actor.storeId, definition, plan);
		}
		await saveAttribute(client, actor.storeId, definition);
		await writeAudit(client, actor, before ? 'save' : 'create', `attribute ${goodCode}`, before ?? null, definition);
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'catalog' });
	});
	await storeStates.reloadCatalog(actor.storeId);
	return definition;
}

function needsConversion(before: AttributeDefinition, after: AttributeDefinition): boolean {
	const read = ({ type, unit, choices }: AttributeDefinition) => JSON.stringify([type, unit, choices]);
	return read(before) !== read(after);
}

function codeTaken(before: AttributeDefinition): Problem {
	const message = `is the code of “${before.label}” already`;
	return new Problem('exists', 412, 'The attribute cannot be taken as it is.', [{ at: '/code', message }]);
}

/** How many values are listed. */
const LISTED = 500;

function wouldLose({ lost }: Conversion): Problem {
	const faults = lost.slice(0, LISTED).map(({ key, reason }) => ({ at: key, message: reason }));
	return new Problem('would-lose', 409, `${lost.length} values cannot be converted; nothing was changed.`, faults);
}

async function convert(db: Db, storeId: number, { code, of }: AttributeDefinition, plan: Conversion): Promise<void> {
	const changes = [
		...plan.changed.map(({ key, to }) => changeOf(key, { [code]: to })),
		...plan.lost.map(({ key }) => changeOf(key, { [code]: null }))
	];
	if (changes.length === 0) return;
	if (of === 'product') await setProductValues(db, storeId, changes);
	else await setCategoryValues(db, storeId, changes);
}

/** A change of values with what rules will see of it. */
export function changeOf(key: string, values: Record<string, AttributeValue | null>): ValueChange {
	const facts: Record<string, unknown> = {};
	for (const [code, value] of Object.entries(values)) {
		facts[code] = value === null ? null : attributeFactsOf({ [code]: value })[code];
	}
	return { key, values, facts };
}

/** Takes a definition away; its values stay in the catalogue, so that defining it again brings them back. */
export async function removeAttribute(actor: Actor, code: string): Promise<void> {
	await transaction(async (client) => {
		const before = await lockedAttribute(client, actor.storeId, code);
		if (!before) throw missing(code);
		await deleteAttribute(client, actor.storeId, code);
		await writeAudit(client, actor, 'delete', `attribute ${code}`, before);
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'catalog' });
	});
	await storeStates.reloadCatalog(actor.storeId);
}

/** A definition that was read can be sent back, its code and fullness with it. */
function withoutCode(input: unknown): unknown {
	if (typeof input !== 'object' || input === null || Array.isArray(input)) return input;
	return Object.fromEntries(Object.entries(input).filter(([name]) => name !== 'code' && name !== 'fullness'));
}

function missing(code: string): Problem {
	return new Problem('not-found', 404, `There is no attribute with the code “${code}”.`);
}
