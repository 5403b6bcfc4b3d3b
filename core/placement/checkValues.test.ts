import { describe, expect, it } from 'vitest';
import { factsOfPage, factsOfProduct, PAGE_KINDS, type Facts } from '@anbau/core/catalog';
import { GUEST, liveContext, pieceSchema, type Visitor } from '@anbau/core/pieces';
import { bareProduct } from '../testing/bareProduct.js';
import { placesInText } from './onPage.js';
import { EMPTY_RELEASE } from './release.js';
import { CompiledRelease } from './resolve.js';

/** Values that are common practice and have no source; each is checked by a test of its own. */
const product = bareProduct({ key: 'house', title: 'House', tags: ['part: HM-2231'] });
const message = (change: object) =>
	pieceSchema.parse({
		kind: 'message',
		name: 'M',
		body: { markdown: 'M' },
		target: { all: [] },
		placements: [{ id: 'a', hook: 'page-top', priority: 10 }],
		...change
	});
const resolved = (
	pieces: Record<string, ReturnType<typeof message>>,
	{ facts = factsOfProduct(product), visitor = GUEST, now = 0, about = product }: Partial<Asked> = {}
) =>
	new CompiledRelease(1, { ...EMPTY_RELEASE, pieces }, 'Europe/Berlin', () => false, now).resolve({
		facts,
		live: liveContext({ product: about }),
		visitor,
		now
	});
interface Asked {
	facts: Facts;
	visitor: Visitor;
	now: number;
	about: typeof product;
}
const onTop = (document: ReturnType<typeof resolved>) => document.hooks['page-top']?.map(({ piece }) => piece) ?? [];

describe('common practice, no source', () => {
	it('below paragraph 5 and below paragraph 10, both once: the second follows the tenth of the original text', () => {
		const text = Array.from({ length: 12 }, () => false);
		const at = (n: number) => placesInText(text, { unit: 'paragraph', side: 'below', n, every: false });
		expect([at(5), at(10)]).toEqual([[5], [10]]);
		// Headings are no paragraphs, and a shorter text gets nothing.
		const mixed = [true, false, false, true, false];
		expect(placesInText(mixed, { unit: 'paragraph', side: 'below', n: 3, every: false })).toEqual([5]);
		expect(placesInText(mixed, { unit: 'heading', side: 'above', n: 2, every: false })).toEqual([3]);
		expect(placesInText(mixed, { unit: 'paragraph', side: 'below', n: 4, every: false })).toEqual([]);
		expect(placesInText(mixed, { unit: 'paragraph', side: 'above', n: 1, every: true })).toEqual([1, 2, 4]);
	});

	it('equal numbers keep one stable order over reloads, whatever order the pieces come in', () => {
		const since = '2026-01-01T00:00:00.000Z';
		const equal = (name: string) => message({ name, placements: [{ id: 'a', hook: 'page-top', priority: 10, since }] });
		const names = ['delta', 'alpha', 'charlie', 'bravo'];
		const orders = [names, [...names].reverse(), [...names].sort()].map((order) =>
			onTop(resolved(Object.fromEntries(order.map((name) => [name, equal(name)]))))
		);
		expect(new Set(orders.map(String)).size).toBe(1);
		expect(orders[0]).toHaveLength(4);
	});

	it('a tag part: HM-2231 and {tag.part} is HM-2231; without such a tag no line and no label', () => {
		const part = message({ body: { markdown: 'Part no. {tag.part}' } });
		expect(resolved({ part }).hooks['page-top']?.[0]?.html).toContain('HM-2231');
		const without = bareProduct({ key: 'bare', title: 'Bare' });
		expect(onTop(resolved({ part }, { facts: factsOfProduct(without), about: without }))).toEqual([]);
	});

	it('a piece without audience and window is for everyone, always, a guest too', () => {
		const pieces = { m: message({}) };
		const member: Visitor = { signedIn: true, groups: ['member'], campaign: 'letter' };
		for (const visitor of [GUEST, member])
			for (const now of [0, Date.parse('2026-11-26T12:00:00Z'), Date.parse('2099-01-01T00:00:00Z')]) {
				const document = resolved(pieces, { visitor, now });
				expect(onTop(document)).toEqual(['m']);
				expect(document.validUntil).toBeNull();
			}
	});
});

describe('a piece for other pages', () => {
	const placements = PAGE_KINDS.map((page) => ({ id: page, page, hook: 'page-top', priority: 10 }));
	const pagesOf = (target: object) => {
		const piece = message({ target, placements });
		const pages = PAGE_KINDS.filter((kind) => kind !== 'product').flatMap((kind) => [
			{ kind, key: 'seeds' },
			{ kind, key: 'tools' }
		]);
		return pages
			.filter((page) => onTop(resolved({ piece }, { facts: factsOfPage(page) })).length > 0)
			.map(({ kind, key }) => `${kind} ${key}`);
	};

	it('for one category is on that category’s page and on no other', () => {
		expect(pagesOf({ field: 'category', operator: 'only', value: 'seeds' })).toEqual(['category seeds']);
		expect(pagesOf({ field: 'category', operator: 'in', value: 'seeds' })).toEqual(['category seeds']);
	});

	it('is chosen by kind and key of the page, on every kind', () => {
		const page = (operator: string, value: string) => ({ field: 'page', operator, value });
		expect(pagesOf(page('kind', 'article'))).toEqual(['article seeds', 'article tools']);
		expect(pagesOf({ all: [page('kind', 'plain'), page('key', 'tools')] })).toEqual(['plain tools']);
		for (const kind of ['home', 'list']) expect(pagesOf(page('kind', kind))).toHaveLength(2);
		expect(pagesOf({ field: 'tag', operator: 'is', value: 'part: HM-2231' })).toEqual([]);
	});
});
