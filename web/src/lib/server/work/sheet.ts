import { z } from 'zod';
import { setImmediate } from 'node:timers/promises';
import {
	appliesTo,
	attributeText,
	fold,
	isDocuments,
	isWithin,
	readAttributeValue,
	uploadedFile,
	type AttributeDefinition,
	type AttributeValue
} from '@anbau/core/catalog';
import { setCategoryValues, setProductValues } from '../db/attributes.js';
import { writeAudit } from '../db/audit.js';
import { tell } from '../db/notify.js';
import { lockStore, transaction } from '../db/pool.js';
import type { Actor } from '../db/users.js';
import { readBy } from '../problem.js';
import type { CatalogState } from '../state/catalogState.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';
import { changeOf } from './attributes.js';

/** What the rows of the sheet are. */
export type SheetOf = AttributeDefinition['of'];

/** A row of the sheet: values as texts, and the codes that do not apply to it. */
export interface SheetRow {
	key: string;
	title: string;
	values: Record<string, string>;
	outside: string[];
}

export const sheetQuerySchema = z.object({
	of: z.enum(['product', 'category']).default('product'),
	q: z.string().trim().max(200).default(''),
	category: z.string().max(200).optional(),
	missing: z.string().max(63).optional(),
	offset: z.coerce.number().int().min(0).default(0),
	limit: z.coerce.number().int().min(1).max(10_000).default(1000)
});
type SheetQuery = z.infer<typeof sheetQuerySchema>;

interface Holder {
	key: string;
	title: string;
	categories: readonly string[];
	attributes: Record<string, AttributeValue>;
}

/** The products or categories that have attributes, in the order of the sheet. */
export function holdersOf(catalog: CatalogState, of: SheetOf): Holder[] {
	if (of === 'product') return [...catalog.products];
	return catalog.categories.map(({ key, title }) => ({
		key,
		title,
		categories: [key],
		attributes: catalog.valuesOfCategory(key)
	}));
}

/** Some rows of the sheet. `missing` asks for those that should have an attribute and have not; `*` for any required. */
export async function sheetRows(
	actor: Actor,
	parameters: URLSearchParams
): Promise<{ total: number; rows: SheetRow[] }> {
	const query = readBy(sheetQuerySchema, Object.fromEntries(parameters), 'The query');
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	const definitions = catalog.definitions.filter((one) => one.of === query.of);
	const found = holdersOf(catalog, query.of).filter((holder) => meets(holder, query, definitions));
	const rows = found.slice(query.offset, query.offset + query.limit).map((holder) => rowOf(holder, definitions));
	return { total: found.length, rows };
}

function meets(
	holder: Holder,
	{ q, category, missing }: SheetQuery,
	definitions: readonly AttributeDefinition[]
): boolean {
	if (q !== '' && !fold(`${holder.title} ${holder.key}`).includes(fold(q))) return false;
	if (category !== undefined && !holder.categories.some((key) => isWithin(key, category))) return false;
	if (missing === undefined) return true;
	return definitions.some(
		(one) =>
			(missing === '*' ? one.required : one.code === missing) &&
			appliesTo(one, holder.categories) &&
			holder.attributes[one.code] === undefined
	);
}

function rowOf({ key, title, categories, attributes }: Holder, definitions: readonly AttributeDefinition[]): SheetRow {
	const row: SheetRow = { key, title, values: {}, outside: [] };
	for (const definition of definitions) {
		const { code } = definition;
		const value = attributes[code];
		if (value !== undefined) row.values[code] = attributeText(value);
		if (!appliesTo(definition, categories)) row.outside.push(code);
	}
	return row;
}

const MAX_CELLS = 10_000;
export const sheetChangesSchema = z.strictObject({
	of: z.enum(['product', 'category']).default('product'),
	changes: z
		.array(z.strictObject({ key: z.string(), code: z.string(), value: z.unknown() }))
		.max(MAX_CELLS, `has more than ${MAX_CELLS} cells; take them in several steps, or as a CSV file`)
});

/** A cell that could not be taken; `at` points to its change. */
export interface SheetRejection {
	at: string;
	key: string;
	code: string;
	reason: string;
}

export interface SheetAnswer {
	saved: number;
	rejected: SheetRejection[];
}

/** Writes cells of the sheet, all that can be taken in one transaction; a bad cell never loses a good one. */
export async function changeSheet(actor: Actor, input: unknown): Promise<SheetAnswer> {
	const { of, changes } = readBy(sheetChangesSchema, input, 'The sheet');
	return writeCells(actor, of, changes);
}

/** A cell to be written. */
export interface CellChange {
	key: string;
	code: string;
	value: unknown;
}

export async function writeCells(actor: Actor, of: SheetOf, changes: readonly CellChange[]): Promise<SheetAnswer> {
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	const reader = new CellReader(catalog, of);
	const values = new Map<string, Record<string, AttributeValue | null>>();
	const rejected: SheetRejection[] = [];
	for (const [i, change] of changes.entries()) {
		if (i % 5000 === 4999) await setImmediate();
		const reading = reader.read(change);
		if (reading.ok) values.set(change.key, { ...values.get(change.key), [change.code]: reading.value });
		else rejected.push({ at: `/changes/${i}/value`, key: change.key, code: change.code, reason: reading.reason });
	}
	await save(actor, of, values, reader);
	return { saved: changes.length - rejected.length, rejected };
}

async function save(
	actor: Actor,
	of: SheetOf,
	values: ReadonlyMap<string, Record<string, AttributeValue | null>>,
	reader: CellReader
): Promise<void> {
	if (values.size === 0) return;
	const changes = [...values].map(([key, own]) => changeOf(key, own));
	await transaction(async (client) => {
		await lockStore(client, actor.storeId, 'catalog');
		if (of === 'product') await setProductValues(client, actor.storeId, changes);
		else await setCategoryValues(client, actor.storeId, changes);
		const before = Object.fromEntries([...values].slice(0, 100).map(([key, own]) => [key, reader.before(key, own)]));
		await writeAudit(
			client,
			actor,
			'fill',
			`${changes.length} ${of} rows`,
			before,
			Object.fromEntries([...values].slice(0, 100))
		);
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'catalog' });
	});
	if (of === 'product') await storeStates.reloadProducts(actor.storeId, [...values.keys()]);
	else await storeStates.reloadCatalog(actor.storeId);
}

/** Reads cells by the definitions of a catalogue. */
export class CellReader {
	private readonly holders: ReadonlyMap<string, Holder>;

	constructor(
		private readonly catalog: CatalogState,
		private readonly of: SheetOf
	) {
		this.holders = new Map(holdersOf(catalog, of).map((holder) => [holder.key, holder]));
	}

	read({ key, code, value }: CellChange): { ok: true; value: AttributeValue | null } | { ok: false; reason: string } {
		const holder = this.holders.get(key);
		if (!holder) return { ok: false, reason: `there is no ${this.of} with the key “${key}”` };
		const definition = this.catalog.attribute(code);
		if (!definition) return { ok: false, reason: `there is no attribute with the code “${code}”` };
		if (definition.of !== this.of)
			return {
				ok: false,
				reason: `“${code}” is an attribute of ${definition.of === 'product' ? 'products' : 'categories'}`
			};
		const reading = readAttributeValue(definition, value);
		if (!reading.ok || reading.value === null) return reading;
		if (!appliesTo(definition, holder.categories))
			return {
				ok: false,
				reason: `does not apply here; “${definition.label}” is for ${definition.categories.join(', ')}`
			};
		const gone = this.unknownIn(reading.value, definition);
		return gone === null ? reading : { ok: false, reason: gone };
	}

	/** What a value names that is not there: an uploaded file, or a product. */
	private unknownIn(value: AttributeValue, { type }: AttributeDefinition): string | null {
		if (isDocuments(value)) {
			const lost = value.find((document) => {
				const file = uploadedFile(document);
				return file !== null && !this.catalog.documents.has(file);
			});
			return lost ? `“${lost.label}” leads to a file that was not uploaded` : null;
		}
		if (type !== 'products' || !Array.isArray(value)) return null;
		const lost = value.find((key) => !this.catalog.product(String(key)));
		return lost === undefined ? null : `there is no product with the key “${String(lost)}”`;
	}

	/** The values that a row has now of some codes. */
	before(key: string, codes: Record<string, unknown>): Record<string, AttributeValue | null> {
		const { attributes = {} } = this.holders.get(key) ?? {};
		return Object.fromEntries(Object.keys(codes).map((code) => [code, attributes[code] ?? null]));
	}

	/** A cell's present text. */
	text(key: string, code: string): string {
		return attributeText(this.holders.get(key)?.attributes[code]);
	}
}
