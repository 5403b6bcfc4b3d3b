import { Bitset } from './bitset.js';
import { SortedColumn } from './column.js';
import type { NumberField } from './grammar.js';
import type { PackedCatalog } from './packedCatalog.js';
import { Postings } from './postings.js';

/** One attribute's values in the index. */
export interface AttributeIndex {
	texts: Postings;
	numbers: SortedColumn<number>;
	dates: SortedColumn<string>;
}

/**
 * The index that reach is computed from: a set of products per tag, category and value, and sorted columns for
 * numbers. It is made from a packed catalogue and does not change; columns are sorted when first asked for.
 */
export class CatalogIndex {
	readonly size: number;
	readonly tags: Postings;
	readonly categoryOnly: Postings;
	readonly categoryIn: Postings;
	readonly brands: Postings;
	readonly availability: Postings;
	readonly onSale: Postings;
	private readonly idOf = new Map<string, number>();
	private readonly titleOf = new Map<string, string>();
	private readonly columns = new Map<NumberField, SortedColumn<number>>();
	private readonly attributes = new Map<string, AttributeIndex>();

	constructor(readonly packed: PackedCatalog) {
		this.size = packed.keys.length;
		const of = (name: 'tags' | 'categoryOnly' | 'categoryIn' | 'brands' | 'availability' | 'onSale') =>
			new Postings(packed[name], this.size);
		this.tags = of('tags');
		this.categoryOnly = of('categoryOnly');
		this.categoryIn = of('categoryIn');
		this.brands = of('brands');
		this.availability = of('availability');
		this.onSale = of('onSale');
		packed.keys.forEach((key, id) => this.idOf.set(key, id));
		for (const { key, title } of packed.categories) this.titleOf.set(key, title);
	}

	/** The id of a visible product, undefined for any other key. */
	id(key: string): number | undefined {
		return this.idOf.get(key);
	}

	/** A category's title, undefined when it is gone. */
	categoryTitle(key: string): string | undefined {
		return this.titleOf.get(key);
	}

	/** The sorted column of a number. Ages are kept as the negated time of creation, so that they ascend with it. */
	column(field: NumberField): SortedColumn<number> {
		let column = this.columns.get(field);
		if (!column) {
			const values =
				field === 'age' ? this.packed.created.map((time) => (time === null ? null : -time)) : this.packed[field];
			this.columns.set(field, (column = new SortedColumn(values, this.size)));
		}
		return column;
	}

	/** An attribute's values; undefined when no visible product has one. */
	attribute(code: string): AttributeIndex | undefined {
		const known = this.attributes.get(code);
		const packed = Object.hasOwn(this.packed.attributes, code) ? this.packed.attributes[code] : undefined;
		if (known || !packed) return known;
		const index = {
			texts: new Postings(packed.texts, this.size),
			numbers: new SortedColumn(packed.numbers, this.size),
			dates: new SortedColumn(packed.dates, this.size)
		};
		this.attributes.set(code, index);
		return index;
	}

	/** The set of the given products, keys that are no visible product left out. */
	setOf(keys: Iterable<string>): Bitset {
		const set = new Bitset(this.size);
		for (const key of keys) {
			const id = this.idOf.get(key);
			if (id !== undefined) set.add(id);
		}
		return set;
	}

	/** The keys of a set's products, in catalogue order, at most `limit` of them. */
	keysOf(set: Bitset, limit = Infinity): string[] {
		const keys: string[] = [];
		for (const id of set) {
			if (keys.length >= limit) break;
			keys.push(this.packed.keys[id] ?? '');
		}
		return keys;
	}
}
