import { attributeFactsOf, fold, type ProductChange } from '@anbau/core/catalog';

/** A column that a catalogue file can set. */
interface Field {
	name: string;
	type: string;
	/** The column's value in a change; undefined leaves the column as it is. */
	value: (change: ProductChange) => unknown;
	/** What a new product has where the change says nothing. */
	initial: (change: ProductChange, currency: string) => unknown;
}

const field = (name: string, type: string, value: Field['value'], initial: Field['initial'] = () => null): Field => ({
	name,
	type,
	value,
	initial
});
const none = () => [];

/** The columns in the order in which they are copied; the bit of each in `present` is its place here. */
export const FIELDS: readonly Field[] = [
	field('sku', 'text', (c) => c.sku),
	field(
		'title',
		'text',
		(c) => c.title,
		(c) => c.key
	),
	field(
		'summary',
		'text',
		(c) => c.summary,
		() => ''
	),
	field(
		'description',
		'text',
		(c) => c.description,
		() => ''
	),
	field('price', 'bigint', (c) => c.price),
	field('list_price', 'bigint', (c) => c.listPrice),
	field(
		'currency',
		'text',
		(c) => c.currency,
		(_, currency) => currency
	),
	field('stock', 'integer', (c) => c.stock),
	field('availability', 'text', (c) => c.availability),
	field(
		'visible',
		'boolean',
		(c) => c.visible,
		() => true
	),
	field('brand', 'text', (c) => c.brand),
	field('images', 'text[]', (c) => c.images, none),
	field('tags', 'text[]', (c) => c.tags, none),
	field('categories', 'text[]', (c) => c.categories, none),
	field('created', 'timestamptz', (c) => c.created),
	field('sold30', 'integer', (c) => c.sold30),
	field('url', 'text', (c) => c.url),
	field('brand_folded', 'text', (c) => (typeof c.brand === 'string' ? fold(c.brand) : c.brand)),
	field('tags_folded', 'text[]', (c) => c.tags?.map(fold), none)
];

/** The columns of the table that changes are staged in, in the order of `stagedLine`. */
export const STAGED_COLUMNS = ['key', ...FIELDS.map(({ name }) => name), 'attributes', 'attribute_facts', 'present'];

/** The columns of a new product, in the order of `productLine`. */
export const PRODUCT_COLUMNS = [
	'store_id',
	'key',
	...FIELDS.map(({ name }) => name),
	'attributes',
	'attribute_facts',
	'freshness'
];

/** A change as a line of PostgreSQL's COPY text format, to be staged. */
export function stagedLine(change: ProductChange): string {
	let present = 0;
	let line = copyText(change.key);
	FIELDS.forEach(({ value }, bit) => {
		const found = value(change);
		if (found !== undefined) present |= 1 << bit;
		line += `\t${copyValue(found)}`;
	});
	return `${line}\t${attributesOf(change)}\t${present}\n`;
}

/** A change as the line of a product that is not there yet. */
export function productLine(change: ProductChange, storeId: number, currency: string, now: string): string {
	let line = `${storeId}\t${copyText(change.key)}`;
	for (const { value, initial } of FIELDS) {
		const found = value(change);
		line += `\t${copyValue(found === undefined ? initial(change, currency) : found)}`;
	}
	return `${line}\t${attributesOf(withoutCleared(change))}\t${now}\n`;
}

function withoutCleared(change: ProductChange): ProductChange {
	if (!change.attributes) return change;
	const kept = Object.entries(change.attributes).filter(([, value]) => value !== null);
	return { ...change, attributes: Object.fromEntries(kept) };
}

/** Attributes and what rules see of them; null clears one. */
function attributesOf({ attributes }: ProductChange): string {
	if (!attributes) return '{}\t{}';
	const facts: Record<string, unknown> = {};
	for (const [code, value] of Object.entries(attributes)) {
		facts[code] = value === null ? null : attributeFactsOf({ [code]: value })[code];
	}
	return `${copyText(JSON.stringify(attributes))}\t${copyText(JSON.stringify(facts))}`;
}

function copyValue(value: unknown): string {
	if (typeof value === 'string') return copyText(value);
	if (value === null || value === undefined) return '\\N';
	if (!Array.isArray(value)) return String(value);
	if (value.length === 0) return '{}';
	let text = '';
	for (const part of value) text += `${text === '' ? '' : ','}"${escapeElement(String(part))}"`;
	return copyText(`{${text}}`);
}

function escapeElement(text: string): string {
	return /["\\]/.test(text) ? text.replace(/["\\]/g, '\\$&') : text;
}

const ESCAPED: Record<string, string> = { '\\': '\\\\', '\t': '\\t', '\n': '\\n', '\r': '\\r' };

function copyText(text: string): string {
	return /[\\\t\n\r]/.test(text) ? text.replace(/[\\\t\n\r]/g, (char) => ESCAPED[char] ?? char) : text;
}
