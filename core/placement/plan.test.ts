import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { factsOfProduct } from '@anbau/core/catalog';
import { bodyFromMarkdown, GUEST, liveContext, newPiece, type Piece, type Placement } from '@anbau/core/pieces';
import { bareProduct } from '../testing/bareProduct.js';
import { byOrder } from './order.js';
import { everythingOn, movesOf, shortestReason, shownOn, type Hung, type Move } from './plan.js';
import { EMPTY_RELEASE, type ReleaseContent } from './release.js';
import { CompiledRelease } from './resolve.js';
import { explainPiece } from './explain.js';

const product = bareProduct({ key: 'spade', title: 'Spade', tags: ['steel'] });
const placement = (id: string, priority: number, more: Partial<Placement> = {}): Placement => ({
	id,
	page: 'product',
	hook: 'above-buy',
	priority,
	width: 'column',
	devices: ['phone', 'tablet', 'desktop'],
	since: '2026-01-01T00:00:00.000Z',
	...more
});
const message = (name: string, placements: Placement[], change: Partial<Piece> = {}): Piece =>
	({ ...newPiece('message', name, bodyFromMarkdown(name)), target: { all: [] }, placements, ...change }) as Piece;
const tab = (slug: string, priority: number, hidden = false) => ({
	slug,
	name: slug,
	priority,
	hidden,
	icon: null,
	binding: null
});
const resolved = (content: ReleaseContent) =>
	new CompiledRelease(1, content, 'Europe/Berlin', () => false, 0).resolve({
		facts: factsOfProduct(product),
		live: liveContext({ product }),
		visitor: GUEST,
		now: 0
	});

/** The content after moves, as the server writes them. */
function moved(content: ReleaseContent, moves: readonly Move[]): ReleaseContent {
	const pieces = Object.fromEntries(
		Object.entries(content.pieces).map(([slug, piece]) => {
			const placements = piece.placements.map((one) => {
				const move = moves.find((each) => 'piece' in each && each.piece === slug && each.placement === one.id);
				return move && 'piece' in move ? { ...one, priority: move.priority, hook: move.hook ?? one.hook } : one;
			});
			return [slug, { ...piece, placements }];
		})
	);
	const houseTabs = content.houseTabs.map((one) => {
		const move = moves.find((each) => 'houseTab' in each && each.houseTab === one.slug);
		return move ? { ...one, priority: move.priority } : one;
	});
	return { ...content, pieces, houseTabs };
}

describe('what hangs on a hook', () => {
	it('is all of it in order, and of that what the page shows', () => {
		const content: ReleaseContent = {
			...EMPTY_RELEASE,
			pieces: {
				last: message('last', [placement('a', 30)]),
				oak: message('oak', [placement('a', 20)], { target: { field: 'tag', operator: 'is', value: 'oak' } }),
				first: message('first', [placement('a', 10), placement('b', 5, { hook: 'below-buy' })])
			}
		};
		const everything = everythingOn(content, 'product', 'above-buy');
		expect(everything.map(({ id }) => id)).toEqual(['first a', 'oak a', 'last a']);
		const shown = shownOn(resolved(content), 'above-buy', everything);
		expect(shown.map(({ id }) => id)).toEqual(['first a', 'last a']);
		expect(everythingOn(content, 'article', 'above-buy')).toEqual([]);
	});

	// Common practice, no source: house tabs at 10, 20, 30; a piece at 1 or 5 first, one at 25 between second and third.
	it('mixes with the theme’s own tabs by number', () => {
		const piece = newPiece('tab', 'Guide', bodyFromMarkdown('Sow.'));
		const hung = (priority: number) =>
			({ ...piece, target: { all: [] }, placements: [placement('t', priority, { hook: 'tabs' })] }) as Piece;
		const houseTabs = [tab('one', 10), tab('two', 20), tab('three', 30)];
		const orderWith = (priority: number) => {
			const content = { ...EMPTY_RELEASE, houseTabs, pieces: { guide: hung(priority) } };
			return shownOn(resolved(content), 'tabs', everythingOn(content, 'product', 'tabs')).map(({ name }) => name);
		};
		expect(orderWith(1)).toEqual(['Guide', 'one', 'two', 'three']);
		expect(orderWith(5)).toEqual(['Guide', 'one', 'two', 'three']);
		expect(orderWith(25)).toEqual(['one', 'two', 'Guide', 'three']);
		expect(orderWith(20)).toEqual(['one', 'two', 'Guide', 'three']);
	});

	// Common practice, no source: three house tabs and two pieces that apply, none hidden or empty.
	it('is five tabs for three of the theme and two pieces, and loses what is hidden', () => {
		const guide = newPiece('tab', 'Guide', bodyFromMarkdown('Sow.'));
		const hung = (priority: number) =>
			({ ...guide, target: { all: [] }, placements: [placement('t', priority, { hook: 'tabs' })] }) as Piece;
		const content = {
			...EMPTY_RELEASE,
			houseTabs: [tab('one', 10), tab('two', 20), tab('three', 30)],
			pieces: { a: hung(5), b: hung(15) }
		};
		const count = (one: ReleaseContent) => shownOn(resolved(one), 'tabs', everythingOn(one, 'product', 'tabs')).length;
		expect(count(content)).toBe(5);
		expect(count({ ...content, houseTabs: [tab('one', 10), tab('two', 20, true), tab('three', 30)] })).toBe(4);
	});
});

describe('moving', () => {
	const hung = (priorities: number[]): ReleaseContent => ({
		...EMPTY_RELEASE,
		pieces: Object.fromEntries(priorities.map((priority, i) => [`p${i}`, message(`p${i}`, [placement('a', priority)])]))
	});

	it('puts a thing where it is dropped, whatever the numbers, and renumbers no more than it must', () => {
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: 1, max: 999 }), { minLength: 2, maxLength: 30 }),
				fc.nat(),
				fc.nat(),
				(priorities, from, to) => {
					const content = hung(priorities);
					const all = everythingOn(content, 'product', 'above-buy');
					const one = all[from % all.length] as Hung;
					const others = all.filter((each) => each !== one);
					const at = to % all.length;
					const moves = movesOf(one, 'above-buy', others, others[at]?.id ?? null);
					const after = everythingOn(moved(content, moves), 'product', 'above-buy').map(({ id }) => id);
					const wanted = [...others.slice(0, at), one, ...others.slice(at)].map(({ id }) => id);
					expect(after).toEqual(wanted);
					const free = new Set(others.map(({ priority }) => priority));
					const isRoomy = others.every(({ priority }, i) => i === 0 || priority - (others[i - 1]?.priority ?? 0) > 1);
					if (
						isRoomy &&
						free.size === others.length &&
						(others[0]?.priority ?? 0) > 1 &&
						(others.at(-1)?.priority ?? 0) < 999
					)
						expect(moves).toHaveLength(1);
				}
			)
		);
	});

	it('takes a placement to another hook, and house tabs along their strip', () => {
		const content: ReleaseContent = {
			...hung([10, 20]),
			houseTabs: [tab('description', 10), tab('details', 20)]
		};
		const [one] = everythingOn(content, 'product', 'above-buy') as [Hung];
		expect(movesOf(one, 'below-buy', [], null)).toEqual([
			{ piece: 'p0', placement: 'a', priority: expect.any(Number) as number, hook: 'below-buy' }
		]);
		const tabs = everythingOn(content, 'product', 'tabs');
		const [description, details] = tabs as [Hung, Hung];
		const moves = movesOf(details, 'tabs', [description], description.id);
		expect(everythingOn(moved(content, moves), 'product', 'tabs').map(({ name }) => name)).toEqual([
			'details',
			'description'
		]);
		expect(tabs.toSorted(byNumber)).toEqual(tabs);
	});
	const byNumber = (a: Hung, b: Hung) => byOrder({ ...a, since: null }, { ...b, since: null });
});

describe('the shortest reason', () => {
	const reasonFor = (change: Partial<Piece>, on = true) => {
		const piece = message('m', [placement('a', 10)], change);
		const content = { ...EMPTY_RELEASE, pieces: { m: piece } };
		const explanation = explainPiece({
			slug: 'm',
			piece,
			on,
			product,
			facts: factsOfProduct(product),
			live: liveContext({ product }),
			circumstances: { visitor: GUEST, now: 0, zone: 'Europe/Berlin' },
			exceptions: [],
			names: { category: () => undefined, product: () => undefined },
			document: resolved(content)
		});
		return shortestReason(piece, explanation);
	};

	it('names what to change, and one thing only', () => {
		expect(reasonFor({}, false)).toBe('switched off');
		expect(reasonFor({ target: null })).toBe('no products have been chosen yet');
		expect(reasonFor({ target: { field: 'tag', operator: 'is', value: 'oak' } })).toMatch(/^no tag .oak.$/);
		expect(reasonFor({ target: { not: { field: 'tag', operator: 'is', value: 'steel' } } })).toMatch(
			/^kept away by tag/
		);
		expect(reasonFor({ audience: { groups: ['trade'] } })).toBe('only for the group trade');
		expect(reasonFor({})).toBe('');
	});
});
