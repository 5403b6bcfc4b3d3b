import { fold, isWithin, type AttributeFacts, type Facts } from '@anbau/core/catalog';
import {
	attributeCode,
	isAttributeLeaf,
	isLeaf,
	isNumberLeaf,
	type AttributeLeaf,
	type Leaf,
	type NumberField,
	type NumberLeaf,
	type Rule
} from './grammar.js';

/** A rule made ready to be asked of many pages. */
export type Predicate = (facts: Facts) => boolean;

const DAY = 86_400_000;

/** Whole days from `created` to `now`, both in milliseconds since the epoch; negative before it. */
export function ageInDays(created: number, now: number): number {
	return Math.floor((now - created) / DAY);
}

/** A number of a page as rules compare it; null where it has none. `now` in milliseconds since the epoch. */
export function numberOf(facts: Facts, field: NumberField, now: number): number | null {
	if (field !== 'age') return facts[field];
	return facts.created === null ? null : ageInDays(facts.created, now);
}

/**
 * Compiles a rule to a function of a page's facts. A leaf about a missing value is false; `not` is plain negation.
 * `now` is in milliseconds since the epoch.
 */
export function compileRule(rule: Rule, now: number): Predicate {
	if (isLeaf(rule)) return compileLeaf(rule, now);
	if ('not' in rule) {
		const inner = compileRule(rule.not, now);
		return (facts) => !inner(facts);
	}
	if ('all' in rule) {
		const parts = rule.all.map((child) => compileRule(child, now));
		return (facts) => parts.every((part) => part(facts));
	}
	const parts = rule.any.map((child) => compileRule(child, now));
	return (facts) => parts.some((part) => part(facts));
}

/** Whether a rule holds on a page. `now` is in milliseconds since the epoch. */
export function evaluate(rule: Rule, facts: Facts, now: number): boolean {
	return compileRule(rule, now)(facts);
}

/** Compiles one leaf. */
export function compileLeaf(leaf: Leaf, now: number): Predicate {
	if (isNumberLeaf(leaf)) return compileNumber(leaf, now);
	if (isAttributeLeaf(leaf)) return compileAttribute(leaf);
	switch (leaf.field) {
		case 'tag':
			return compileTag(leaf.operator, fold(leaf.value));
		case 'category':
			return leaf.operator === 'only'
				? (facts) => facts.categories.includes(leaf.value)
				: (facts) => facts.categories.some((key) => isWithin(key, leaf.value));
		case 'product': {
			const keys = new Set(leaf.value);
			return (facts) => facts.page.kind === 'product' && keys.has(facts.page.key);
		}
		case 'brand': {
			const brands = new Set((leaf.operator === 'in' ? leaf.value : [leaf.value]).map(fold));
			return (facts) => facts.brand !== null && brands.has(facts.brand);
		}
		case 'availability':
			return (facts) => facts.availability === leaf.value;
		case 'onSale':
			return (facts) => facts.onSale === leaf.value;
		case 'page':
			return leaf.operator === 'kind'
				? (facts) => facts.page.kind === leaf.value
				: (facts) => facts.page.key === leaf.value;
	}
}

function compileTag(operator: 'is' | 'startsWith' | 'contains', wanted: string): Predicate {
	if (operator === 'is') return (facts) => facts.tags.includes(wanted);
	if (operator === 'startsWith') return (facts) => facts.tags.some((tag) => tag.startsWith(wanted));
	return (facts) => facts.tags.some((tag) => tag.includes(wanted));
}

function compileNumber(leaf: NumberLeaf, now: number): Predicate {
	const holds = comparison(leaf);
	return (facts) => {
		const value = numberOf(facts, leaf.field, now);
		return value !== null && holds(value);
	};
}

type Compared =
	| { operator: 'lt' | 'lte' | 'gt' | 'gte'; value: number | string }
	| { operator: 'between'; value: [number, number] | [string, string] };

/** A comparison as a function of one value; dates compare as ISO texts. */
function comparison(leaf: Compared): (value: number | string) => boolean {
	if (leaf.operator === 'between') {
		const [low, high] = leaf.value;
		return (value) => value >= low && value <= high;
	}
	const bound = leaf.value;
	switch (leaf.operator) {
		case 'lt':
			return (value) => value < bound;
		case 'lte':
			return (value) => value <= bound;
		case 'gt':
			return (value) => value > bound;
		case 'gte':
			return (value) => value >= bound;
	}
}

function compileAttribute(leaf: AttributeLeaf): Predicate {
	const code = attributeCode(leaf);
	const holds = attributeTest(leaf);
	return (facts) => {
		const found = Object.hasOwn(facts.attributes, code) ? facts.attributes[code] : undefined;
		return found !== undefined && holds(found);
	};
}

/** What an attribute leaf asks of an attribute that is there. */
export function attributeTest(leaf: AttributeLeaf): (value: AttributeFacts) => boolean {
	switch (leaf.operator) {
		case 'has':
			return (found) => found.text.length > 0;
		case 'is':
			return equals(leaf.value);
		case 'in': {
			const tests = leaf.value.map(equals);
			return (found) => tests.some((test) => test(found));
		}
		case 'contains': {
			const part = fold(leaf.value);
			return (found) => found.text.some((text) => text.includes(part));
		}
		default: {
			const holds = comparison(leaf);
			const bound = leaf.operator === 'between' ? leaf.value[0] : leaf.value;
			const of = typeof bound === 'number' ? ('number' as const) : ('date' as const);
			return (found) => {
				const value = found[of];
				return value !== null && holds(value);
			};
		}
	}
}

function equals(wanted: string | number | boolean): (found: AttributeFacts) => boolean {
	if (typeof wanted === 'number') return (found) => found.number === wanted;
	const text = typeof wanted === 'boolean' ? (wanted ? 'yes' : 'no') : fold(wanted);
	return (found) => found.text.includes(text);
}
