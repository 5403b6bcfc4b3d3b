import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { factsOfPage, factsOfProduct, type Product } from '@anbau/core/catalog';
import { GUEST, liveContext, pieceSchema, placementFault, type Piece } from '@anbau/core/pieces';
import {
	CompiledRelease,
	EMPTY_RELEASE,
	explainPiece,
	impact,
	type Exception,
	type HouseTab,
	type ReleaseContent
} from '@anbau/core/placement';
import { CatalogIndex, packCatalog } from '@anbau/core/rules';
import * as arbitrary from '../testing/arbitraries.js';
import { bareProduct } from '../testing/bareProduct.js';
import { NOW } from '../testing/arbitraries.js';

const names = { category: () => undefined, product: () => undefined };
const live = (product: Product) => liveContext({ product });
const piece = (change: object): Piece =>
	pieceSchema.parse({
		kind: 'message',
		name: 'M',
		body: { markdown: 'x' },
		target: { all: [] },
		placements: [{ id: 'a', hook: 'above-buy' }],
		...change
	});
const tab = (priority: number, change: object = {}): Piece =>
	pieceSchema.parse({
		kind: 'tab',
		name: 'T',
		panels: [{ slug: 'a', heading: `At ${priority}`, body: { markdown: 'x' } }],
		target: { all: [] },
		placements: [{ id: 'a', hook: 'tabs', priority }],
		...change
	});
const compiled = (content: Partial<ReleaseContent>, off: string[] = []) =>
	new CompiledRelease(7, { ...EMPTY_RELEASE, ...content }, 'Europe/Berlin', (slug) => off.includes(slug), NOW);
const spade = bareProduct({ stock: 3, tags: ['steel'], categories: ['tools'] });
const page = (release: CompiledRelease, product: Product = spade, visitor = GUEST, now = NOW) =>
	release.resolve({ facts: factsOfProduct(product), live: live(product), visitor, now });
const house = (slug: string, priority: number, hidden = false): HouseTab => ({
	slug,
	name: slug,
	priority,
	hidden,
	icon: null,
	binding: null
});

describe('the order on a hook', () => {
	it('is priority, then the age of the placement', () => {
		const at = (priority: number, since: string) =>
			piece({ placements: [{ id: 'a', hook: 'above-buy', priority, since }] });
		const pieces = {
			young: at(10, '2026-02-01T00:00:00Z'),
			old: at(10, '2026-01-01T00:00:00Z'),
			first: at(2, '2026-03-01T00:00:00Z')
		};
		expect(page(compiled({ pieces })).hooks['above-buy']?.map((entry) => entry.piece)).toEqual([
			'first',
			'old',
			'young'
		]);
	});

	// Common practice, no source: house tabs stand at 10, 20, 30.
	it('of tabs puts 1 and 5 first, 25 between the second and the third, and a house tab before its equal', () => {
		const houseTabs = [house('description', 10), house('details', 20), house('delivery', 30)];
		const pieces = { a: tab(25), b: tab(5), c: tab(1), d: tab(20) };
		expect(page(compiled({ pieces, houseTabs })).tabs.map((one) => one.slug)).toEqual([
			'c',
			'b',
			'description',
			'details',
			'd',
			'a',
			'delivery'
		]);
	});

	// Common practice, no source.
	it('of three house tabs and two pieces that apply is five tabs; a hidden one is said to be hidden', () => {
		const houseTabs = [house('description', 10), house('details', 20, true), house('delivery', 30)];
		const { tabs } = page(compiled({ pieces: { a: tab(5), b: tab(25) }, houseTabs }));
		expect(tabs).toHaveLength(5);
		expect(tabs.filter((one) => one.hidden).map((one) => one.slug)).toEqual(['details']);
	});
});

describe('a page', () => {
	it('shows nothing of a piece that is off, hidden by hand, for others, at another time, or empty', () => {
		const pieces = {
			shown: piece({}),
			off: piece({}),
			hidden: piece({}),
			members: piece({ audience: { groups: ['trade'] } }),
			later: piece({ windows: [{ from: '2027-01-01T00:00' }] }),
			empty: piece({ body: { markdown: '{product.brand}' } }),
			unaimed: piece({ target: null }),
			byHand: piece({ target: { any: [] } })
		};
		const exceptions: Exception[] = [
			{ product: 'spade', piece: 'hidden', mode: 'hide' },
			{ product: 'spade', piece: 'byHand', mode: 'show' }
		];
		const shown = (visitor = GUEST) =>
			page(compiled({ pieces, exceptions }, ['off']), spade, visitor)
				.hooks['above-buy']?.map((entry) => entry.piece)
				.sort();
		expect(shown()).toEqual(['byHand', 'shown']);
		expect(shown({ ...GUEST, signedIn: true, groups: ['trade'] })).toEqual(['byHand', 'members', 'shown']);
		expect(page(compiled({ pieces }), { ...spade, visible: false }).hooks).toEqual({});
	});

	it('is valid until the next window opens or closes', () => {
		const pieces = {
			a: piece({ windows: [{ until: '2026-12-24T18:00' }] }),
			b: piece({ windows: [{ from: '2026-12-01T00:00' }] })
		};
		expect(page(compiled({ pieces })).validUntil).toBe('2026-11-30T23:00:00.000Z');
		expect(page(compiled({ pieces: { c: piece({}) } })).validUntil).toBeNull();
	});

	it('of another kind gets what is placed there and meant for it', () => {
		const placements = [{ id: 'a', page: 'category', hook: 'above-list' }];
		const pieces = {
			seeds: piece({ placements, target: { field: 'category', operator: 'only', value: 'seeds' } }),
			all: piece({ placements })
		};
		const facts = (key: string) => factsOfPage({ kind: 'category', key });
		const shown = (key: string) =>
			compiled({ pieces })
				.resolve({
					facts: facts(key),
					live: liveContext({}),
					visitor: GUEST,
					now: NOW
				})
				.hooks['above-list']?.map((entry) => entry.piece);
		expect([shown('seeds'), shown('tools')]).toEqual([['all', 'seeds'], ['all']]);
		expect(placementFault('category', 'above-buy')).toContain('not a hook of category pages');
	});
});

describe('an explanation', () => {
	const explain = (
		one: Piece,
		product: Product,
		change: { on?: boolean; exceptions?: Exception[]; missingHooks?: string[] } = {}
	) => {
		const { on = true, exceptions = [], missingHooks = [] } = change;
		const facts = factsOfProduct(product);
		const release = compiled({ pieces: { m: one }, exceptions }, on ? [] : ['m']);
		const document = release.resolve({ facts, live: live(product), visitor: GUEST, now: NOW });
		return explainPiece({
			slug: 'm',
			piece: one,
			on,
			product,
			facts,
			live: live(product),
			circumstances: { visitor: GUEST, now: NOW, zone: 'Europe/Berlin' },
			exceptions,
			names,
			document,
			missingHooks
		});
	};

	it('says of every piece and product the same as the page shows', () => {
		const bodies = fc.constantFrom('x', '{product.brand}', '{tag.lead}');
		const audiences = fc.constantFrom(null, { signedIn: true }, { campaign: 'spring' });
		fc.assert(
			fc.property(
				arbitrary.product('p1'),
				arbitrary.rule,
				bodies,
				audiences,
				fc.boolean(),
				fc.constantFrom(undefined, 'hide' as const, 'show' as const),
				(product, target, markdown, audience, on, mode) => {
					const one = piece({ target, body: { markdown }, audience });
					const exceptions = mode ? [{ product: 'p1', piece: 'm', mode }] : [];
					const { shown, reasons } = explain(one, product, { on, exceptions });
					const entries =
						page(compiled({ pieces: { m: one }, exceptions }, on ? [] : ['m']), product).hooks['above-buy'] ?? [];
					expect(shown).toBe(entries.length > 0);
					if (!shown) expect(reasons.some((reason) => !reason.ok)).toBe(true);
				}
			)
		);
	});

	it('lists off switch, audience, window, emptiness, exception and missing hook beside the rule', () => {
		const one = piece({
			target: { field: 'tag', operator: 'is', value: 'steels' },
			audience: { signedIn: true },
			windows: [{ until: '2020-01-01T00:00' }],
			body: { markdown: '{product.brand}' }
		});
		const { shown, reasons, flip, nearMisses } = explain(one, spade, {
			on: false,
			exceptions: [{ product: 'spade', piece: 'm', mode: 'hide' }],
			missingHooks: ['above-buy']
		});
		expect(shown).toBe(false);
		expect(reasons.map((reason) => `${reason.kind} ${reason.at}`)).toEqual([
			'off /on',
			'audience /audience',
			'window /windows',
			'empty ',
			'exception ',
			'rule /target',
			'hook /placements/0/hook'
		]);
		expect(flip).toEqual(['/target']);
		expect(nearMisses).toMatchObject([{ at: '/target', found: 'steel' }]);
	});

	it('tells the place in the order', () => {
		expect(explain(piece({}), spade).placements).toEqual([{ id: 'a', hook: 'above-buy', position: 1, shown: true }]);
	});
});

describe('impact', () => {
	const index = new CatalogIndex(
		packCatalog(
			'1',
			['spade', 'fork', 'hoe'].map((key) => ({
				...spade,
				facts: factsOfProduct({ ...spade, key, tags: key === 'hoe' ? [] : ['steel'] })
			})),
			[]
		)
	);
	const steel = { field: 'tag', operator: 'is', value: 'steel' };
	const changes = (before: Record<string, Piece>, after: Record<string, Piece>, off: string[] = []) =>
		impact({ ...EMPTY_RELEASE, pieces: before }, { ...EMPTY_RELEASE, pieces: after }, index, NOW, (slug) =>
			off.includes(slug)
		);

	it('counts pages that begin, stop, move and read otherwise', () => {
		const one = piece({ target: steel });
		expect(changes({}, { m: one })).toMatchObject({ pages: 2, pieces: [{ piece: 'm', added: 2, removed: 0 }] });
		expect(changes({ m: one }, {})).toMatchObject({ pages: 2, pieces: [{ removed: 2 }] });
		expect(changes({ m: one }, { m: piece({}) })).toMatchObject({
			pages: 1,
			pieces: [{ added: 1, moved: 0, reworded: 0 }]
		});
		expect(changes({ m: one }, { m: { ...one, placements: [] } })).toMatchObject({
			pages: 2,
			pieces: [{ removed: 2 }]
		});
		expect(changes({ m: one }, { m: piece({ target: steel, body: { markdown: 'y' } }) })).toMatchObject({
			pages: 2,
			pieces: [{ reworded: 2 }]
		});
		expect(changes({ m: one }, { m: piece({ target: steel, note: 'n' }) })).toMatchObject({
			pages: 0,
			pieces: [{ piece: 'm' }]
		});
		expect(changes({ m: one }, { m: one })).toMatchObject({ pages: 0, pieces: [], houseTabs: false, style: false });
		expect(changes({}, { m: one }, ['m'])).toMatchObject({ pages: 0 });
	});
});
