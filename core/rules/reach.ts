import { fold } from '@anbau/core/catalog';
import { Bitset } from './bitset.js';
import type { CatalogIndex } from './catalogIndex.js';
import type { SortedColumn } from './column.js';
import { ageInDays } from './evaluate.js';
import {
	attributeCode,
	isAttributeLeaf,
	isLeaf,
	isNumberLeaf,
	type AttributeLeaf,
	type Comparison,
	type Leaf,
	type NumberLeaf,
	type PageLeaf,
	type Rule,
	type TagLeaf
} from './grammar.js';

/**
 * The visible products for which a rule holds, by set operations over the index: exactly those for which
 * `evaluate` is true. `now` is in milliseconds since the epoch. The set is the caller's own.
 */
export function reach(rule: Rule, index: CatalogIndex, now: number): Bitset {
	if (isLeaf(rule)) return reachOfLeaf(rule, index, now);
	if ('not' in rule) return reach(rule.not, index, now).not();
	if ('all' in rule) {
		const [first, ...rest] = rule.all;
		if (!first) return Bitset.full(index.size);
		const set = reach(first, index, now);
		for (const child of rest) {
			if (isLeaf(child) || !('not' in child)) set.and(reach(child, index, now));
			else set.andNot(reach(child.not, index, now));
		}
		return set;
	}
	const set = new Bitset(index.size);
	for (const child of rule.any) set.or(reach(child, index, now));
	return set;
}

function reachOfLeaf(leaf: Leaf, index: CatalogIndex, now: number): Bitset {
	if (isNumberLeaf(leaf)) return reachOfNumber(leaf, index, now);
	if (isAttributeLeaf(leaf)) return reachOfAttribute(leaf, index);
	const set = new Bitset(index.size);
	switch (leaf.field) {
		case 'tag':
			addTags(set, leaf, index);
			break;
		case 'category':
			(leaf.operator === 'in' ? index.categoryIn : index.categoryOnly).addTo(set, leaf.value);
			break;
		case 'product':
			return index.setOf(leaf.value);
		case 'brand':
			for (const brand of leaf.operator === 'in' ? leaf.value : [leaf.value]) index.brands.addTo(set, fold(brand));
			break;
		case 'availability':
			index.availability.addTo(set, leaf.value);
			break;
		case 'onSale':
			index.onSale.addTo(set, String(leaf.value));
			break;
		case 'page':
			return reachOfPage(leaf, index);
	}
	return set;
}

function addTags(set: Bitset, leaf: TagLeaf, index: CatalogIndex): void {
	const wanted = fold(leaf.value);
	if (leaf.operator === 'is') index.tags.addTo(set, wanted);
	else if (leaf.operator === 'startsWith') index.tags.addPrefixTo(set, wanted);
	else index.tags.addWhere(set, (tag) => tag.includes(wanted));
}

function reachOfPage(leaf: PageLeaf, index: CatalogIndex): Bitset {
	if (leaf.operator === 'key') return index.setOf([leaf.value]);
	return leaf.value === 'product' ? Bitset.full(index.size) : new Bitset(index.size);
}

function reachOfNumber(leaf: NumberLeaf, index: CatalogIndex, now: number): Bitset {
	const column = index.column(leaf.field);
	if (leaf.field !== 'age') return compare(column, leaf, (value) => value);
	return compare(column, leaf, (negatedTime) => ageInDays(-negatedTime, now));
}

function reachOfAttribute(leaf: AttributeLeaf, index: CatalogIndex): Bitset {
	const set = new Bitset(index.size);
	const attribute = index.attribute(attributeCode(leaf));
	if (!attribute) return set;
	switch (leaf.operator) {
		case 'has':
			attribute.texts.addWhere(set, () => true);
			return set;
		case 'is':
		case 'in':
			for (const value of leaf.operator === 'in' ? leaf.value : [leaf.value]) {
				if (typeof value === 'number')
					set.or(compare(attribute.numbers, { operator: 'between', value: [value, value] }, same));
				else attribute.texts.addTo(set, typeof value === 'boolean' ? (value ? 'yes' : 'no') : fold(value));
			}
			return set;
		case 'contains': {
			const part = fold(leaf.value);
			attribute.texts.addWhere(set, (text) => text.includes(part));
			return set;
		}
		case 'between': {
			const [low, high] = leaf.value;
			if (typeof low === 'number' && typeof high === 'number') {
				return compare(attribute.numbers, { operator: 'between', value: [low, high] }, same);
			}
			return compare(attribute.dates, { operator: 'between', value: [String(low), String(high)] }, same);
		}
		default:
			return typeof leaf.value === 'number'
				? compare(attribute.numbers, { operator: leaf.operator, value: leaf.value }, same)
				: compare(attribute.dates, { operator: leaf.operator, value: leaf.value }, same);
	}
}

function same<T>(value: T): T {
	return value;
}

type Bounds<T> = { operator: Exclude<Comparison, 'between'>; value: T } | { operator: 'between'; value: [T, T] };

/** The products whose value, seen through a monotone function, meets a comparison. */
function compare<T extends number | string>(column: SortedColumn<T>, bounds: Bounds<T>, seen: (value: T) => T): Bitset {
	const always = () => true;
	const never = () => false;
	if (bounds.operator === 'between') {
		const [low, high] = bounds.value;
		return column.between(
			(v) => seen(v) >= low,
			(v) => seen(v) > high
		);
	}
	const bound = bounds.value;
	switch (bounds.operator) {
		case 'lt':
			return column.between(always, (v) => seen(v) >= bound);
		case 'lte':
			return column.between(always, (v) => seen(v) > bound);
		case 'gt':
			return column.between((v) => seen(v) > bound, never);
		case 'gte':
			return column.between((v) => seen(v) >= bound, never);
	}
}

/** How a reach spreads over the categories, the fullest first; a category counts what lies below it too. */
export function reachByCategory(
	set: Bitset,
	index: CatalogIndex,
	depth = 1
): { category: string; title: string; matched: number }[] {
	return index.categoryIn.terms
		.filter((key) => key.split('/').length <= depth)
		.map((key) => {
			let matched = 0;
			for (const id of index.categoryIn.ids(key)) if (set.has(id)) matched++;
			return { category: key, title: index.categoryTitle(key) ?? key, matched };
		})
		.filter((row) => row.matched > 0)
		.sort((a, b) => b.matched - a.matched);
}
