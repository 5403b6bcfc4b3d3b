import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { factsOfPage, factsOfProduct } from '@anbau/core/catalog';
import { GUEST, liveContext, pieceSchema, type Piece } from '@anbau/core/pieces';
import {
	byOrder,
	CompiledRelease,
	dropAt,
	EMPTY_RELEASE,
	exceptionName,
	exceptionSchemaFor,
	explainPiece,
	housePartSchema,
	impact,
	placesInText,
	themeHookSchema,
	type Exception,
	type ReleaseContent
} from '@anbau/core/placement';
import { CatalogIndex, packCatalog } from '@anbau/core/rules';
import { NOW } from '../testing/arbitraries.js';
import { bareProduct } from '../testing/bareProduct.js';

const piece = (placement: object, change: object = {}): Piece =>
	pieceSchema.parse({
		kind: 'message',
		name: 'M',
		body: { markdown: 'Shared' },
		target: { all: [] },
		placements: [{ id: 'a', ...placement }],
		...change
	});
const spade = bareProduct({ key: 'spade', categories: ['tools'] });
const compiled = (content: Partial<ReleaseContent>) =>
	new CompiledRelease(7, { ...EMPTY_RELEASE, ...content }, 'Europe/Berlin', () => false, NOW);
const page = (content: Partial<ReleaseContent>) =>
	compiled(content).resolve({
		facts: factsOfProduct(spade),
		live: liveContext({ product: spade }),
		visitor: GUEST,
		now: NOW
	});
const bodyOf = (markdown: string) => {
	const found = piece({ hook: 'page-top' }, { body: { markdown } });
	if (found.kind !== 'message') throw new Error('it is a message');
	return found.body;
};

describe('dropping on a hook', () => {
	it('takes the number midway, and renumbers nobody where there is one', () => {
		expect(dropAt([10, 20], 1)).toEqual([10, 15, 20]);
		expect(dropAt([10, 20], 0)).toEqual([5, 10, 20]);
		expect(dropAt([10, 20], 2)).toEqual([10, 20, 30]);
		expect(dropAt([], 0)).toEqual([10]);
	});

	it('keeps the wanted order and renumbers as few neighbours as brute force needs', () => {
		const priorities = fc
			.array(fc.integer({ min: 990, max: 999 }), { maxLength: 6 })
			.map((list) => list.sort((a, b) => a - b));
		fc.assert(
			fc.property(priorities, fc.nat(6), (others, place) => {
				const at = Math.min(place, others.length);
				const after = dropAt(others, at);
				expect(after.every((one) => Number.isInteger(one) && one >= 1 && one <= 999)).toBe(true);
				const wanted = [...others.slice(0, at), null, ...others.slice(at)];
				expect((after[at] ?? 0) > (after[at - 1] ?? 0)).toBe(true);
				expect((after[at] ?? 0) < (after[at + 1] ?? 1000)).toBe(true);
				// Nobody changes places, ties of the others aside, which their age decides.
				expect([...after].sort((a, b) => a - b)).toEqual(after);
				const changed = after.filter((one, i) => wanted[i] !== null && wanted[i] !== one).length;
				expect(changed).toBeLessThanOrEqual(fewest(wanted, at));
			}),
			{ numRuns: 300 }
		);
	});

	/** The size of the smallest stretch round the dropped one that can be numbered anew, less itself. */
	function fewest(wanted: (number | null)[], at: number): number {
		for (let size = 1; ; size++) {
			for (let from = Math.max(0, at - size + 1); from <= at && from + size <= wanted.length; from++) {
				const [low, high] = [wanted[from - 1] ?? 0, wanted[from + size] ?? 1000];
				if (high - low > size) return size - 1;
			}
		}
	}

	it('says that 999 things are too many', () => {
		expect(() => dropAt(Array<number>(999).fill(5), 3)).toThrow(RangeError);
		expect(dropAt(Array<number>(80).fill(5), 40)).toHaveLength(81);
	});

	it('is stable over any order in which equal numbers arrive', () => {
		const list = ['a', 'b', 'c'].map((id) => ({ priority: 5, since: '2026-01-01T00:00:00Z', id }));
		expect([...list].reverse().sort(byOrder)).toEqual(list);
	});
});

describe('a place in the text', () => {
	const paragraphs = Array<boolean>(12).fill(false);

	// Common practice, no source: below paragraph 5 and below paragraph 10, both once.
	it('is counted on the theme’s own content: 5 and 10 are after the fifth and the tenth', () => {
		const below = (n: number, every = false) =>
			placesInText(paragraphs, { unit: 'paragraph', side: 'below', n, every });
		expect([below(5), below(10)]).toEqual([[5], [10]]);
		expect(below(5, true)).toEqual([5, 10]);
		expect(below(13)).toEqual([]);
	});

	it('counts headings and paragraphs apart', () => {
		const text = [true, false, false, true, false];
		expect(placesInText(text, { unit: 'heading', side: 'above', n: 2, every: false })).toEqual([3]);
		expect(placesInText(text, { unit: 'paragraph', side: 'above', n: 3, every: false })).toEqual([4]);
		expect(placesInText(text, { unit: 'heading', side: 'below', n: 1, every: true })).toEqual([1, 4]);
	});
});

describe('a page with everything', () => {
	it('has what stands in the text and at the edges with its details, and the bindings of the hooks it names', () => {
		const hooks = [
			{ id: 'page-top', title: '', pages: [], binding: null, fallback: 'beside-logo' },
			{
				id: 'beside-logo',
				title: 'beside the logo',
				pages: ['product' as const],
				binding: { selector: '.logo', position: 'after' as const },
				fallback: null
			},
			{ id: 'below-tabs', title: '', pages: [], binding: null, fallback: null }
		];
		const pieces = {
			bar: piece({ hook: 'page-top' }),
			inside: piece({ hook: 'text', n: 5, unit: 'paragraph' }),
			edge: piece({ hook: 'edge-bottom', reveal: 200, devices: ['phone'] }),
			wide: piece({ hook: 'page-bottom', width: 'container', padding: '5%', maxWidth: 1200 })
		};
		const found = page({ pieces, hooks });
		expect(found.text).toMatchObject([{ piece: 'inside', unit: 'paragraph', side: 'below', n: 5, every: false }]);
		expect(found.edges).toMatchObject([
			{ edge: 'bottom', insetInline: 20, insetBlock: 20, reveal: 200, closable: false, devices: ['phone'] }
		]);
		expect(found.hooks['page-bottom']).toMatchObject([{ padding: '5%', maxWidth: 1200 }]);
		expect(Object.keys(found.bindings).sort()).toEqual(['beside-logo', 'page-top']);
	});

	it('of another kind shows only what hangs there, on the category it is for', () => {
		const only = { field: 'category', operator: 'only', value: 'seeds' } as const;
		const release = compiled({ pieces: { intro: piece({ page: 'category', hook: 'above-list' }, { target: only }) } });
		const shown = (kind: 'category' | 'article' | 'home', key: string) =>
			Object.keys(
				release.resolve({ facts: factsOfPage({ kind, key }), live: liveContext({}), visitor: GUEST, now: NOW }).hooks
			);
		expect(shown('category', 'seeds')).toEqual(['above-list']);
		expect([shown('category', 'seeds/roots'), shown('category', 'tools'), shown('home', 'seeds')]).toEqual([
			[],
			[],
			[]
		]);
	});

	it('takes details only where they mean something', () => {
		const fault = (placement: object) => {
			const result = pieceSchema.safeParse({ ...piece({ hook: 'page-top' }), placements: [placement] });
			return result.success ? null : result.error.issues[0]?.path.join('/');
		};
		expect(fault({ hook: 'above-buy', n: 3 })).toBe('placements/0/n');
		expect(fault({ hook: 'text', reveal: 3 })).toBe('placements/0/reveal');
		expect(fault({ hook: 'text', n: 0 })).toBe('placements/0/n');
		expect(fault({ hook: 'gallery' })).toBe('placements/0/hook');
		expect(fault({ hook: 'page-top', padding: '5em' })).toBe('placements/0/padding');
		expect(housePartSchema.safeParse({ name: 'Stars', from: '.stars', hook: 'tabs' }).success).toBe(false);
		expect(themeHookSchema.safeParse({ binding: { selector: '' } }).success).toBe(false);
	});
});

describe('an exception', () => {
	const list = { type: 'doc', content: [{ type: 'productList', attrs: { source: 'newest', count: 3 } }] };
	const pieces = {
		m: piece({ hook: 'above-buy', priority: 10 }),
		n: piece({ hook: 'above-buy', priority: 20 }),
		hand: piece({ hook: 'above-buy', priority: 30 }, { target: { any: [] } }),
		list: piece({ hook: 'below-buy' }, { body: list })
	};
	const houseTabs = ['description', 'details'].map((slug, i) => {
		return { slug, name: slug, priority: (i + 1) * 10, hidden: false, icon: null, binding: null };
	});
	const exceptions: Exception[] = [
		{ product: 'spade', piece: 'm', mode: 'body', panel: null, body: bodyOf('Own') },
		{ product: 'spade', piece: 'm', mode: 'priority', placement: 'a', priority: 40 },
		{ product: 'spade', piece: 'hand', mode: 'show' },
		{ product: 'spade', piece: 'list', mode: 'products', panel: null, products: ['fork', 'rake'] },
		{ product: 'spade', houseTab: 'description', mode: 'hide' },
		{ product: 'spade', houseTab: 'details', mode: 'priority', priority: 5 },
		{ product: 'fork', piece: 'n', mode: 'hide' }
	];

	it('changes what one product shows: own text, own number, shown by hand, the theme’s tabs too', () => {
		const found = page({ pieces, houseTabs, exceptions });
		expect(found.hooks['above-buy']?.map((entry) => [entry.piece, entry.priority])).toEqual([
			['n', 20],
			['hand', 30],
			['m', 40]
		]);
		expect(found.hooks['above-buy']?.[2]?.html).toContain('Own');
		expect(found.tabs.map(({ slug, hidden }) => [slug, hidden])).toEqual([
			['details', false],
			['description', true]
		]);
	});

	it('fills the product lists of a piece with the product’s own choice', () => {
		const asked: unknown[] = [];
		const live = liveContext({ product: spade, products: { list: (query) => (asked.push(query), []) } });
		compiled({ pieces, exceptions }).resolve({ facts: factsOfProduct(spade), live, visitor: GUEST, now: NOW });
		expect(asked).toMatchObject([{ source: 'hand', keys: ['fork', 'rake'], count: 2 }]);
	});

	it('is said among the reasons, and touches its product’s page', () => {
		const document = page({ pieces, exceptions });
		const { shown, reasons } = explainPiece({
			slug: 'm',
			piece: pieces.m,
			on: true,
			product: spade,
			facts: factsOfProduct(spade),
			live: liveContext({ product: spade }),
			circumstances: { visitor: GUEST, now: NOW, zone: 'Europe/Berlin' },
			exceptions,
			names: { category: () => undefined, product: () => undefined },
			document
		});
		expect(shown).toBe(true);
		expect(reasons.filter(({ kind }) => kind === 'exception').map(({ text }) => text)).toEqual([
			'own text',
			'own priority 40'
		]);
		const index = new CatalogIndex(
			packCatalog('v', [{ title: 'Spade', tags: [], brand: null, facts: factsOfProduct(spade) }], [])
		);
		const before = { ...EMPTY_RELEASE, pieces };
		const changed = impact(before, { ...before, exceptions: exceptions.slice(0, 1) }, index, NOW);
		expect(changed).toMatchObject({ pages: 1, exceptions: 1, pieces: [] });
		expect(impact(before, { ...before, strip: { accordionBelow: 1 } }, index, NOW)).toMatchObject({
			pages: 1,
			theme: true
		});
	});

	it('has a name that tells it from others, and faults at the property that is wrong', () => {
		expect(new Set(exceptions.map(exceptionName)).size).toBe(exceptions.length);
		const at = (input: object) => {
			const result = exceptionSchemaFor(input).safeParse(input);
			return result.success ? null : result.error.issues[0]?.path.join('/');
		};
		expect(at({ product: 'spade', piece: 'm', mode: 'priority', placement: 'a', priority: 0 })).toBe('priority');
		expect(at({ product: 'spade', houseTab: 'details', mode: 'body' })).toBe('mode');
		expect(at({ product: 'spade', piece: 'm', mode: 'body' })).toBe('body');
		expect(at({ product: 'spade', piece: 'm', mode: 'body', body: { markdown: 'Own' } })).toBeNull();
	});
});
