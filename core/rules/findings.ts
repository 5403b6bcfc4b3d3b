import { fold } from '@anbau/core/catalog';
import type { CatalogIndex } from './catalogIndex.js';
import { leavesOf, type Leaf, type Rule } from './grammar.js';
import { nearMiss, nearMissPrefix } from './nearMiss.js';
import type { Bitset } from './bitset.js';

/** A thing that a rule names and the catalogue does not have (any more). The rule works on, without it. */
export interface GoneName {
	at: string;
	kind: 'product' | 'tag' | 'category' | 'brand';
	name: string;
}

/** A tag that is spelled almost as a rule has it, on products which the rule does not reach. */
export interface MeantTag {
	at: string;
	wanted: string;
	found: string;
	/** How many products have the tag and are not reached. */
	products: number;
}

/** What a rule names and the visible catalogue lacks. */
export function goneNames(rule: Rule, index: CatalogIndex): GoneName[] {
	return leavesOf(rule).flatMap(({ at, leaf }) => goneInLeaf(at, leaf, index));
}

function goneInLeaf(at: string, leaf: Leaf, index: CatalogIndex): GoneName[] {
	switch (leaf.field) {
		case 'product':
			return leaf.value.filter((key) => index.id(key) === undefined).map((name) => ({ at, kind: 'product', name }));
		case 'category':
			return index.categoryTitle(leaf.value) === undefined ? [{ at, kind: 'category', name: leaf.value }] : [];
		case 'tag': {
			const wanted = fold(leaf.value);
			const found =
				leaf.operator === 'is'
					? index.tags.has(wanted)
					: index.tags.terms.some((tag) =>
							leaf.operator === 'startsWith' ? tag.startsWith(wanted) : tag.includes(wanted)
						);
			return found ? [] : [{ at, kind: 'tag', name: leaf.value }];
		}
		case 'brand':
			return (leaf.operator === 'in' ? leaf.value : [leaf.value])
				.filter((brand) => !index.brands.has(fold(brand)))
				.map((name) => ({ at, kind: 'brand', name }));
		default:
			return [];
	}
}

/** Tags near to those a rule asks for, on products that are not in its reach: the most products first. */
export function meantTags(rule: Rule, index: CatalogIndex, reached: Bitset): MeantTag[] {
	const found: MeantTag[] = [];
	for (const { at, leaf } of leavesOf(rule)) {
		if (leaf.field !== 'tag' || leaf.operator === 'contains') continue;
		const test = leaf.operator === 'is' ? nearMiss : nearMissPrefix;
		for (const tag of index.tags.terms) {
			if (test(leaf.value, tag) === null) continue;
			const products = index.tags.ids(tag).filter((id) => !reached.has(id)).length;
			if (products > 0) found.push({ at, wanted: leaf.value, found: index.packed.spelled.tags[tag] ?? tag, products });
		}
	}
	return found.sort((a, b) => b.products - a.products);
}
