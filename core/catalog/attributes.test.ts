import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	appliesTo,
	attributeSchema,
	attributeText,
	ATTRIBUTE_TYPES,
	codeOfLabel,
	fullnessOf,
	planConversion,
	ProductLists,
	readAttributeValue,
	readRow,
	type AttributeDefinition,
	type AttributeType
} from '@anbau/core/catalog';
import { bareProduct } from '../testing/bareProduct.js';

const define = (type: AttributeType, given: Partial<AttributeDefinition> = {}): AttributeDefinition => ({
	...attributeSchema.parse({ label: 'A', type, choices: type === 'choice' ? ['Oak', 'Larch'] : [] }),
	code: 'a',
	...given
});
const read = (type: AttributeType, raw: unknown, given: Partial<AttributeDefinition> = {}) =>
	readAttributeValue(define(type, given), raw);
const FILE = `file:${'ab'.repeat(32)}`;

describe('a value of an attribute', () => {
	it.each<[AttributeType, unknown, unknown]>([
		['text', ' Oak ', 'Oak'],
		['number', '2.5', 2.5],
		['number', -3, -3],
		['flag', 'Yes', true],
		['flag', false, false],
		['date', '2027-03-31', '2027-03-31'],
		['choice', 'oak', 'Oak'],
		['list', 'a | b|a|', ['a', 'b']],
		['list', ['a', 'b'], ['a', 'b']],
		['products', 'spade|trowel', ['spade', 'trowel']],
		['link', '/pages/care', '/pages/care'],
		['embed', 'https://films.example/7', 'https://films.example/7'],
		[
			'documents',
			`Manual; ${FILE}; 2027-12-31 | Care; /care.pdf`,
			[
				{ label: 'Manual', address: FILE, until: '2027-12-31' },
				{ label: 'Care', address: '/care.pdf' }
			]
		],
		['documents', [{ label: 'M', address: '/m.pdf' }], [{ label: 'M', address: '/m.pdf' }]],
		['text', '  ', null],
		['list', [], null],
		['number', null, null]
	])('of type %s is read from %j', (type, raw, value) => expect(read(type, raw)).toEqual({ ok: true, value }));

	it('may carry its unit', () => {
		expect(read('number', '2.5 cm', { unit: 'cm' })).toEqual({ ok: true, value: 2.5 });
		expect(read('number', '25 mm', { unit: 'cm' })).toEqual({ ok: false, reason: '“25 mm” is not in cm' });
	});

	it.each<[AttributeType, unknown, string]>([
		['number', '2,5', 'write it with a point, 2.5'],
		['number', 'two', 'is not a number'],
		['date', '2027-02-31', 'a day that does not exist'],
		['date', '31.3.2027', 'not a date like'],
		['choice', 'Lerch', '“Larch” is the nearest'],
		['flag', 'maybe', 'neither yes nor no'],
		['link', 'javascript:alert(1)', 'begins with https://'],
		['embed', '/local', 'begins with https://'],
		['documents', 'Manual', 'whose address is none'],
		['documents', 'Manual; /m.pdf; 2027-02-30', 'last valid day that does not exist'],
		['documents', '; /m.pdf', 'without a label'],
		['text', ['a', 'b'], 'takes one value, not 2'],
		['text', { a: 1 }, 'not an object'],
		['text', 'x\u0000', 'NUL'],
		['longText', 'x'.repeat(20_001), 'at most 20000']
	])('of type %s is refused from %j', (type, raw, reason) => {
		const reading = read(type, raw);
		expect(reading.ok ? '' : reading.reason).toContain(reason);
	});

	it('written as a text reads back as it is, whatever its type', () => {
		const texts = fc.oneof(
			fc.string(),
			fc.constantFrom('12', '12.5', 'yes', 'Oak', '2027-03-31', 'a|b', '/x', 'M; /m.pdf; 2027-01-01')
		);
		fc.assert(
			fc.property(fc.constantFrom(...ATTRIBUTE_TYPES), texts, (type, text) => {
				const reading = read(type, text);
				if (reading.ok) expect(read(type, attributeText(reading.value))).toEqual(reading);
			})
		);
	});
});

describe('a definition', () => {
	it('gets its code from its label, and applies to categories and all below them', () => {
		expect(['Sowing depth', 'Größe', '3D view', '!'].map(codeOfLabel)).toEqual([
			'sowing_depth',
			'grosse',
			'a_3d_view',
			''
		]);
		expect(appliesTo({ categories: [] }, [])).toBe(true);
		expect(appliesTo({ categories: ['seeds'] }, ['seeds/herbs'])).toBe(true);
		expect(appliesTo({ categories: ['seeds'] }, ['seedlings'])).toBe(false);
	});

	it.each([
		[{ label: '' }, 'label'],
		[{ type: 'colour' }, 'type'],
		[{ type: 'choice' }, 'choices'],
		[{ type: 'choice', choices: ['a', 'a'] }, 'choices/1'],
		[{ of: 'store' }, 'of']
	])('%j is refused at %s', (change, at) => {
		const reading = attributeSchema.safeParse({ label: 'A', type: 'text', ...change });
		expect(reading.error?.issues.map((issue) => issue.path.join('/'))).toEqual([at]);
	});

	it('that changes its type says what becomes of each value', () => {
		const values = [
			{ key: 'a', value: '12 cm' },
			{ key: 'b', value: 'deep' },
			{ key: 'c', value: 3 }
		];
		expect(planConversion(values, define('number', { unit: 'cm' }))).toEqual({
			changed: [{ key: 'a', from: '12 cm', to: 12 }],
			kept: 1,
			lost: [{ key: 'b', from: 'deep', reason: '“deep” is not a number like 2.5' }]
		});
	});

	it('rules what a catalogue row may hold, and the fault names its column', () => {
		const context = {
			currency: 'EUR',
			onCategories: () => undefined,
			attribute: (code: string) => (code === 'depth' ? define('number') : undefined)
		};
		expect(readRow({ key: 'k', 'attribute.depth': '2,5' }, context)).toMatchObject({
			ok: false,
			faults: [{ column: 'attribute.depth' }]
		});
		expect(readRow({ key: 'k', 'attribute.depth': '2.5', 'attribute.other': 'x' }, context)).toMatchObject({
			ok: true,
			change: { attributes: { depth: 2.5, other: 'x' } }
		});
	});

	it('is counted as full where it applies', () => {
		const products = [
			bareProduct({ categories: ['seeds/herbs'], attributes: { a: 1 } }),
			bareProduct({ categories: ['seeds'] }),
			bareProduct({ categories: ['tools'], attributes: { a: 1 } })
		];
		expect(fullnessOf([define('number', { categories: ['seeds'] })], products)).toEqual({
			a: { applies: 2, filled: 1, byCategory: { seeds: { applies: 2, filled: 1 } } }
		});
	});
});

describe('a product list', () => {
	const products = [
		bareProduct({ key: 'a', created: '2026-01-01T00:00:00Z', sold30: 1, categories: ['seeds/herbs'] }),
		bareProduct({ key: 'b', created: '2026-03-01T00:00:00Z', sold30: 9, categories: ['seeds'] }),
		bareProduct({ key: 'c', created: '2026-02-01T00:00:00Z', sold30: 5, categories: ['tools'] }),
		bareProduct({ key: 'd', created: '2026-04-01T00:00:00Z', sold30: 7, visible: false, categories: ['seeds'] }),
		bareProduct({ key: 'e', categories: ['seeds/herbs'] })
	];
	const lists = new ProductLists(new Map(products.map((product) => [product.key, product])));
	const keys = (
		source: 'hand' | 'newest' | 'mostSold' | 'sameCategory' | 'recent',
		page: string | null,
		named: string[] = [],
		count = 3
	) =>
		lists.list({ source, keys: named, count }, products.find((one) => one.key === page) ?? null).map((one) => one.key);

	it('never shows what is hidden or gone, nor the page’s own product', () => {
		expect(keys('newest', null)).toEqual(['b', 'c', 'a']);
		expect(keys('mostSold', 'b')).toEqual(['c', 'a', 'e']);
		expect(keys('sameCategory', 'a')).toEqual(['e']);
		expect(keys('sameCategory', 'b', [], 1)).toEqual(['a']);
		expect(keys('hand', 'c', ['d', 'gone', 'c', 'a', 'b'])).toEqual(['a', 'b']);
		expect(keys('recent', null)).toEqual([]);
	});
});
