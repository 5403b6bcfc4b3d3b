import { fold, withAncestors, type Availability, type Category, type Facts } from '@anbau/core/catalog';
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
	const builders = { tags: postings(), only: postings(), within: postings(), brands: postings(), availability: postings(), onSale: postings() };
	const spelled: PackedCatalog['spelled'] = { tags: {}, brands: {} };
	const facts = products.map((product) => product.facts);
	products.forEach((product, id) => {
		for (const tag of product.tags) {
			builders.tags.add(fold(tag), id);
			spelled.tags[fold(tag)] ??= tag.trim();
		}
		for (const key of product.facts.categories) {
			builders.only.add(key, id);
			for (const above of withAncestors(key)) builders.within.add(above, id);
		}
		addSingle(builders, product.facts, id);
		if (product.brand !== null) spelled.brands[fold(product.brand)] ??= product.brand.trim();
	});
	const column = (field: 'price' | 'discount' | 'stock' | 'sold') => facts.map((one) => numberOf(one, field, 0));
	return {
		version,
		keys: facts.map((one) => one.page.key),
		titles: products.map((product) => product.title),
		spelled,
		categories: categories.map(({ key, title }) => ({ key, title })),
		tags: builders.tags.pack(),
		categoryOnly: builders.only.pack(),
		categoryIn: builders.within.pack(),
		brands: builders.brands.pack(),
		availability: builders.availability.pack(),
		onSale: builders.onSale.pack(),
		price: column('price'),
		discount: column('discount'),
		stock: column('stock'),
		created: facts.map((one) => one.created),
		sold: column('sold'),
		attributes: packAttributes(facts)
	};
}

const postings = () => new PostingsBuilder();

function addSingle(
	builders: Record<'brands' | 'availability' | 'onSale', PostingsBuilder>,
	facts: Facts,
	id: number
): void {
	if (facts.brand !== null) builders.brands.add(facts.brand, id);
	if (facts.availability !== null) builders.availability.add(facts.availability satisfies Availability, id);
	if (facts.onSale !== null) builders.onSale.add(String(facts.onSale), id);
}

function packAttributes(facts: readonly Facts[]): Record<string, PackedAttribute> {
	const builders = new Map<string, PostingsBuilder>();
	const packed: Record<string, PackedAttribute> = {};
	const empty = { terms: [], ids: [] };
	facts.forEach(({ attributes }, id) => {
		for (const [code, value] of Object.entries(attributes)) {
			let builder = builders.get(code);
			if (!builder) builders.set(code, (builder = postings()));
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
