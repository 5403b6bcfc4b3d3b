import { fold, type Facts } from '@anbau/core/catalog';
import { comparisonWords, availabilityWords, type Names } from './describe.js';
import { compileLeaf, numberOf } from './evaluate.js';
import { smallestFlip } from './flip.js';
import {
	attributeCode,
	isAttributeLeaf,
	isNumberLeaf,
	leavesOf,
	type Leaf,
	type NumberLeaf,
	type Rule
} from './grammar.js';
import { nearMiss, nearMissPrefix } from './nearMiss.js';

/** One leaf's verdict on a page, with the page's actual value in words. */
export interface LeafVerdict {
	/** JSON pointer into the rule. */
	at: string;
	leaf: Leaf;
	ok: boolean;
	/** A plain sentence: `stock is 2, below 5`. */
	text: string;
}

/** A tag of the product that is probably meant by a leaf which it does not meet. */
export interface FoundNearMiss {
	at: string;
	found: string;
	text: string;
}

export interface RuleExplanation {
	holds: boolean;
	leaves: LeafVerdict[];
	/** The smallest set of leaves to change, as pointers; null when there is none. */
	flip: string[] | null;
	nearMisses: FoundNearMiss[];
}

/** Words of the product that facts have only folded. */
export interface Spelling {
	tags: readonly string[];
	brand: string | null;
}

/**
 * Says why a rule holds on a page or does not: every leaf with its verdict and the actual value, the smallest set
 * of leaves that turns the verdict round, and tags that are probably meant. `now` is in milliseconds.
 */
export function explainRule(rule: Rule, facts: Facts, spelling: Spelling, names: Names, now: number): RuleExplanation {
	const leaves = leavesOf(rule).map(({ at, leaf }) => {
		const ok = compileLeaf(leaf, now)(facts);
		return { at, leaf, ok, text: leafText(leaf, ok, facts, spelling, names, now) };
	});
	const verdicts = new Map(leaves.map((one) => [one.at, one.ok]));
	const verdictOf = (_: Leaf, at: string) => verdicts.get(at) ?? false;
	return {
		holds: holdsWith(rule, verdictOf),
		leaves,
		flip: smallestFlip(rule, verdictOf),
		nearMisses: leaves.filter((one) => !one.ok).flatMap((one) => nearMissesOf(one.at, one.leaf, spelling))
	};
}

function holdsWith(rule: Rule, verdictOf: (leaf: Leaf, at: string) => boolean, at = ''): boolean {
	if ('field' in rule) return verdictOf(rule, at);
	if ('not' in rule) return !holdsWith(rule.not, verdictOf, `${at}/not`);
	if ('all' in rule) return rule.all.every((child, i) => holdsWith(child, verdictOf, `${at}/all/${i}`));
	return rule.any.some((child, i) => holdsWith(child, verdictOf, `${at}/any/${i}`));
}

function nearMissesOf(at: string, leaf: Leaf, spelling: Spelling): FoundNearMiss[] {
	const candidates =
		leaf.field === 'tag' ? spelling.tags : leaf.field === 'brand' && spelling.brand !== null ? [spelling.brand] : [];
	if (leaf.field !== 'tag' && leaf.field !== 'brand') return [];
	if (leaf.operator === 'contains' || leaf.operator === 'in') return [];
	const test = leaf.operator === 'startsWith' ? nearMissPrefix : nearMiss;
	return candidates
		.filter((found) => test(leaf.value, found) !== null)
		.map((found) => ({ at, found, text: `“${found}” looks like “${leaf.value}”, but is spelled otherwise` }));
}

function leafText(leaf: Leaf, ok: boolean, facts: Facts, spelling: Spelling, names: Names, now: number): string {
	if (isNumberLeaf(leaf)) return numberText(leaf, numberOf(facts, leaf.field, now));
	if (isAttributeLeaf(leaf)) {
		const code = attributeCode(leaf);
		const value = Object.hasOwn(facts.attributes, code) ? facts.attributes[code] : undefined;
		return `${names.attribute?.(code) ?? code} is ${value?.text.join(', ') || 'not filled in'}`;
	}
	switch (leaf.field) {
		case 'tag':
			return tagText(leaf.operator, leaf.value, ok, spelling.tags);
		case 'category':
			return ok ? `in ${names.category(leaf.value) ?? leaf.value}` : notInCategory(leaf.value, facts, names);
		case 'product':
			return ok
				? `this is ${names.product(facts.page.key) ?? facts.page.key}`
				: `not ${leaf.value.map((key) => names.product(key) ?? key).join(' or ')}`;
		case 'brand':
			return `brand is ${spelling.brand ?? 'not given'}`;
		case 'availability':
			return `availability is ${facts.availability ? availabilityWords(facts.availability) : 'not given'}`;
		case 'onSale':
			return facts.onSale === null ? 'has no price' : facts.onSale ? 'on sale' : 'not on sale';
		case 'page':
			return `this is the ${facts.page.kind} page ${facts.page.key}`.trim();
	}
}

function tagText(operator: string, wanted: string, ok: boolean, tags: readonly string[]): string {
	const phrase =
		operator === 'is'
			? `tag “${wanted}”`
			: `tag ${operator === 'contains' ? 'containing' : 'starting with'} “${wanted}”`;
	if (!ok) return `no ${phrase}`;
	const folded = fold(wanted);
	const met = tags.find((tag) =>
		operator === 'is'
			? fold(tag) === folded
			: operator === 'startsWith'
				? fold(tag).startsWith(folded)
				: fold(tag).includes(folded)
	);
	return operator === 'is' ? phrase : `tag “${met ?? wanted}”`;
}

function notInCategory(wanted: string, facts: Facts, names: Names): string {
	const own = facts.categories.map((key) => names.category(key) ?? key).join(', ');
	return `not in ${names.category(wanted) ?? wanted}${own ? `; this is in ${own}` : '; this is in no category'}`;
}

function numberText(leaf: NumberLeaf, value: number | null): string {
	const label = { price: 'price', discount: 'reduction', stock: 'stock', age: 'age in days', sold: 'sold in 30 days' }[
		leaf.field
	];
	if (value === null) return `${label} is not known`;
	return `${label} is ${Math.round(value * 100) / 100}, asked is ${comparisonWords(leaf)}`;
}
