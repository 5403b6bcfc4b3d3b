import jsonld from 'jsonld';
import { describe, expect, it } from 'vitest';
import type { ProductReviews, ReviewSource, ShownReview } from '@anbau/core/reviews';
import { bareProduct } from '../testing/bareProduct.js';
import { liveContext } from './liveContext.js';
import { pieceSchema } from './piece.js';
import { renderPiece } from './pieceHtml.js';
import { renderReviewPage } from './reviews.js';

const product = bareProduct({ key: 'spade', title: 'Spade <1>', url: 'https://shop.example/spade' });
const review = (id: string, change: Partial<ShownReview> = {}): ShownReview => ({
	id,
	product: 'spade',
	rating: 5,
	title: `Title ${id}`,
	text: `Words of ${id}`,
	author: 'Ada & Bo',
	date: '2026-05-31T10:00:00.000Z',
	verified: false,
	pictures: [],
	reply: '',
	...change
});
const known: ProductReviews = {
	histogram: [0, 1, 0, 2, 6],
	newest: [review('n1', { rating: 2, reply: 'Sorry.' }), review('n2', { verified: true }), review('n3')],
	best: [review('b1'), review('b2', { text: '' }), review('b3', { rating: 4 })]
};
const source: ReviewSource = {
	of: (key) => (key === 'spade' ? known : undefined),
	byId: (id) => (id === 'picked' ? review('picked', { product: 'rake' }) : undefined),
	pass: (key) => `signed ${key}`
};
const context = (about: typeof product | null = product) =>
	liveContext({ product: about, reviews: source, base: 'https://anbau.example/live/v1/k' });
const shown = (settings: object, about: typeof product | null = product, change: object = {}) => {
	const piece = pieceSchema.parse({ kind: 'reviews', name: 'R', settings, target: { all: [] }, ...change });
	return renderPiece('all', piece, context(about));
};
const dataIn = (html: string): unknown[] =>
	[...html.matchAll(/<script type="application\/ld\+json">(.*?)<\/script>/gs)].map(([, text = '']) => JSON.parse(text));
const unseen = (html: string) => html.replace(/<script.*?<\/script>/gs, '');
const bare = bareProduct({ key: 'rake', title: 'Rake', url: 'https://shop.example/rake' });

describe('a widget of reviews', () => {
	it('is a line of stars with the average, that leads to the section', () => {
		const { html } = shown({ form: 'stars' });
		expect(html).toContain('aria-label="4.4 of 5 stars"');
		expect(html).toContain('<b>4.4</b><a href="#anbau-reviews">9 reviews</a>');
		expect(shown({ form: 'stars', count: false }).html).not.toContain('9 reviews');
	});

	it('is a summary with how many there are of each rating', () => {
		const text = unseen(shown({ form: 'summary' }).html);
		expect(
			[...text.matchAll(/<li><span>(.*?)<\/span>.*?<span>(\d+)<\/span>/gs)].map(([, a, b]) => `${a} ${b}`)
		).toEqual(['5 stars 6', '4 stars 2', '3 stars 0', '2 stars 1', '1 star 0']);
	});

	it('is a section with its first page, what leads on, and a form with the product’s signature', () => {
		const { html } = shown({ form: 'section', perPage: 2 });
		expect([...unseen(html).matchAll(/Words of (\w+)/g)].map(([, id]) => id)).toEqual(['n1', 'n2']);
		expect(html).toContain('1 of 5');
		expect(html).toContain('The store answers');
		expect(html).toContain('Verified purchase');
		expect(html).toContain('<input type="hidden" name="pass" value="signed spade">');
		expect(html).toContain('data-anbau-reviews="https://anbau.example/live/v1/k/reviews?piece=all&amp;product=spade"');
		expect(shown({ form: 'section', order: 'best', write: false }).html).toMatch(/Words of b1/);
		expect(shown({ form: 'section', write: false }).html).not.toContain('<form action');
	});

	it('is quotes: picked ones first, then the best that have words', () => {
		const ids = (settings: object, about = product) =>
			[...shown({ form: 'quotes', ...settings }, about).html.matchAll(/<p>Words of (\w+)/g)].map(([, id]) => id);
		expect(ids({})).toEqual(['b1', 'b3']);
		expect(ids({ least: 5 })).toEqual(['b1']);
		expect(ids({ quotes: 1, chosen: ['gone', 'picked'] })).toEqual(['picked']);
		expect(shown({ form: 'quotes', chosen: ['picked'] }, null).html).toContain('Words of picked');
	});

	it('stays away without any review, or asks for the first, as chosen', () => {
		for (const form of ['stars', 'summary', 'section', 'quotes']) expect(shown({ form }, bare).html).toBe('');
		expect(shown({ form: 'stars', none: 'invite' }, bare).html).toContain('Be the first');
		expect(shown({ form: 'section', none: 'invite' }, bare).html).toContain('<form action');
		expect(shown({ form: 'stars' }, bare).gone).toEqual([{ at: '/settings', values: ['reviews.count'] }]);
	});

	it('escapes what customers write, and hangs among the tabs by its heading', () => {
		const evil = { ...known, newest: [review('x', { title: '<b>', text: '</script><script>x', author: '"><i>' })] };
		const live = liveContext({ product, reviews: { ...source, of: () => evil } });
		const html = renderReviewPage({ reviews: evil.newest, page: 1, pages: 1 }, live);
		expect(unseen(html)).not.toMatch(/<b><|<script|<i>/);
		expect(dataIn(html)).toHaveLength(1);
		expect(shown({}, product, { heading: 'Reviews' }).panels).toMatchObject([{ slug: 'all', heading: 'Reviews' }]);
	});

	it('fills live values of the average and of how many there are', () => {
		const body = { markdown: '{reviews.average} from {reviews.count, plural, one {# review} other {# reviews}}' };
		const piece = pieceSchema.parse({ kind: 'message', name: 'M', body });
		expect(renderPiece('m', piece, context()).html).toContain('<p>4.4 from 9 reviews</p>');
		expect(renderPiece('m', piece, context(bare)).html).toBe('');
	});
});

describe('structured data', () => {
	const iri = (name: string) => `https://schema.org/${name}`;
	// The vocabulary as a context; no network. The properties of each type are those that schema.org lists for
	// Product, AggregateRating, Rating and Review (written down from memory).
	const vocabulary = { '@context': { '@vocab': 'https://schema.org/', url: { '@type': '@id' } } };
	const PROPERTIES: Record<string, string[]> = {
		Product: ['name', 'url', 'aggregateRating', 'review'],
		AggregateRating: ['ratingValue', 'bestRating', 'worstRating', 'reviewCount', 'ratingCount', 'itemReviewed'],
		Rating: ['ratingValue', 'bestRating', 'worstRating', 'author'],
		Review: ['itemReviewed', 'reviewRating', 'reviewBody', 'author', 'datePublished', 'name'],
		Person: ['name']
	};
	type Node = Record<string, { '@value'?: unknown; '@id'?: string }[]> & { '@id': string; '@type': string[] };

	/** The graph of a page's data, its nodes merged by their ids, as a reader of JSON-LD has it. */
	async function graphOf(html: string): Promise<Node[]> {
		const documents = dataIn(html).map((one) => ({ ...(one as object), ...vocabulary }));
		return (await jsonld.flatten(documents as never)) as unknown as Node[];
	}

	it('is read back as one product, with the properties and ranges of schema.org', async () => {
		const html = shown({ form: 'stars' }).html + shown({ form: 'section', perPage: 2 }).html;
		const graph = await graphOf(html);
		for (const node of graph) {
			const type = (node['@type'][0] ?? '').replace('https://schema.org/', '');
			for (const property of Object.keys(node).filter((name) => !name.startsWith('@')))
				expect(PROPERTIES[type], `${type} ${property}`).toContain(property.replace('https://schema.org/', ''));
		}
		const ofType = (type: string) => graph.filter((node) => node['@type'].includes(iri(type)));
		// Two widgets say the same of one product.
		expect(ofType('Product').map((node) => node['@id'])).toEqual(['https://shop.example/spade']);
		const [rating, ...more] = ofType('AggregateRating');
		expect(more).toEqual([]);
		const number = (name: string) => Number(rating?.[iri(name)]?.[0]?.['@value']);
		expect([number('ratingValue'), number('bestRating'), number('worstRating')]).toEqual([4.4, 5, 1]);
		expect(number('reviewCount')).toBe(9);
		expect(Number.isInteger(number('reviewCount'))).toBe(true);
	});

	it('says only what is seen', async () => {
		const reviews = async (settings: object) =>
			(await graphOf(shown(settings).html))
				.filter((node) => node['@type'].includes(iri('Review')))
				.map((node) => node[iri('reviewBody')]?.[0]?.['@value']);
		expect(await reviews({ form: 'stars' })).toEqual([]);
		expect((await reviews({ form: 'section', perPage: 2 })).sort()).toEqual(['Words of n1', 'Words of n2']);
		// A quote of another product is not said of this one.
		expect(await reviews({ form: 'quotes', quotes: 1, chosen: ['picked'] })).toEqual([]);
		expect(dataIn(shown({ form: 'stars', none: 'invite' }, bare).html)).toEqual([]);
		expect(
			(await graphOf(shown({ form: 'quotes' }).html)).some((one) => one['@type'].includes(iri('AggregateRating')))
		).toBe(false);
	});
});
