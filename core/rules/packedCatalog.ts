import { fold, withAncestors, type Category, type Facts } from '@anbau/core/catalog';
import { numberOf } from './evaluate.js';
import { PostingsBuilder, type PackedPostings } from './postings.js';

/** An attribute's values over all products, by product id. */
export interface PackedAttribute {
	texts: PackedPostings;
	numbers: (number | null)[];
	dates: (string | null)[];
}

/**
 * The visible part of a catalogue as plain JSON, column by column: what a reach is counted from, in the server and
 * in a web worker alike. A product's id is its place in `keys`. Money is in major units, `created` in milliseconds.
 */
export interface PackedCatalog {
	version: string;
	keys: string[];
	titles: string[];
	/** Tags and brands as the catalogue writes them, by folded form. */
	spelled: { tags: Record<string, string>; brands: Record<string, string> };
	categories: Pick<Category, 'key' | 'title'>[];
	tags: PackedPostings;
	categoryOnly: PackedPostings;
	categoryIn: PackedPostings;
	brands: PackedPostings;
	availability: PackedPostings;
	onSale: PackedPostings;
	price: (number | null)[];
	discount: (number | null)[];
	stock: (number | null)[];
	created: (number | null)[];
	sold: (number | null)[];
	attributes: Record<string, PackedAttribute>;
}

/** A product as the catalogue's index takes it: its facts, and the words it is shown with. */
export interface IndexedProduct {
	title: string;
	tags: string[];
	brand: string | null;
	facts: Facts;
}

/** Packs the visible products of a catalogue, in the order in which they are to be leafed through. */
export function packCatalog(
	version: string,
	products: readonly IndexedProduct[],
	categories: Pick<Category, 'key' | 'title'>[]
): PackedCatalog {
	const facts = products.map((product) => product.facts);
	const column = (field: 'price' | 'discount' | 'stock' | 'sold') => facts.map((one) => numberOf(one, field, 0));
	return {
		version,
		keys: facts.map((one) => one.page.key),
		titles: products.map((product) => product.title),
		spelled: {
			tags: spellings(products.flatMap((product) => product.tags)),
			brands: spellings(products.flatMap((product) => product.brand ?? []))
		},
		categories: categories.map(({ key, title }) => ({ key, title })),
		tags: postingsOf(facts, (one) => one.tags),
		categoryOnly: postingsOf(facts, (one) => one.categories),
		categoryIn: postingsOf(facts, (one) => one.categories.flatMap(withAncestors)),
		brands: postingsOf(facts, (one) => (one.brand === null ? [] : [one.brand])),
		availability: postingsOf(facts, (one) => (one.availability === null ? [] : [one.availability])),
		onSale: postingsOf(facts, (one) => (one.onSale === null ? [] : [String(one.onSale)])),
		price: column('price'),
		discount: column('discount'),
		stock: column('stock'),
		created: facts.map((one) => one.created),
		sold: column('sold'),
		attributes: packAttributes(facts)
	};
}

/** The first spelling of each folded text. */
function spellings(texts: readonly string[]): Record<string, string> {
	const found = new Map<string, string>();
	for (const text of texts) {
		const folded = fold(text);
		if (!found.has(folded)) found.set(folded, text.trim());
	}
	return Object.fromEntries(found);
}

function postingsOf(facts: readonly Facts[], termsOf: (facts: Facts) => readonly string[]): PackedPostings {
	const builder = new PostingsBuilder();
	facts.forEach((one, id) => {
		for (const term of termsOf(one)) builder.add(term, id);
	});
	return builder.pack();
}

function packAttributes(facts: readonly Facts[]): Record<string, PackedAttribute> {
	const builders = new Map<string, PostingsBuilder>();
	const packed: Record<string, PackedAttribute> = {};
	const empty = { terms: [], ids: [] };
	facts.forEach(({ attributes }, id) => {
		for (const [code, value] of Object.entries(attributes)) {
			let builder = builders.get(code);
			if (!builder) builders.set(code, (builder = new PostingsBuilder()));
			const own = (packed[code] ??= { texts: empty, numbers: facts.map(() => null), dates: facts.map(() => null) });
			for (const text of value.text) builder.add(text, id);
			own.numbers[id] = value.number;
			own.dates[id] = value.date;
		}
	});
	for (const [code, builder] of builders) {
		const own = packed[code];
		if (own) own.texts = builder.pack();
	}
	return packed;
}
