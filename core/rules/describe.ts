import {
	attributeCode,
	isAttributeLeaf,
	isLeaf,
	isNumberLeaf,
	type AttributeLeaf,
	type Leaf,
	type NumberLeaf,
	type Rule
} from './grammar.js';

/** Words for the keys that a rule names; undefined when the thing is gone, and the key is shown instead. */
export interface Names {
	category(key: string): string | undefined;
	product(key: string): string | undefined;
	attribute?(code: string): string | undefined;
}

/** A rule as an English sentence about products: `products that are tagged “peat-free” and are not in Tools`. */
export function describe(rule: Rule, names: Names): string {
	if (isLeaf(rule)) return `products that ${describeLeaf(rule, names)}`;
	if ('all' in rule && rule.all.length === 0) return 'every product';
	if ('any' in rule && rule.any.length === 0) return 'no product, only where shown by hand';
	return `products that ${clause(rule, names, false)}`;
}

function clause(rule: Rule, names: Names, inner: boolean): string {
	if (isLeaf(rule)) return describeLeaf(rule, names);
	if ('not' in rule)
		return isLeaf(rule.not)
			? describeLeaf(rule.not, names, true)
			: `are not such that they ${clause(rule.not, names, true)}`;
	const [rules, word] = 'all' in rule ? [rule.all, 'and'] : [rule.any, 'or'];
	const [only] = rules;
	if (!only) return word === 'and' ? 'are anything' : 'are nothing';
	if (rules.length === 1) return clause(only, names, inner);
	const text = joined(
		rules.map((child) => clause(child, names, true)),
		word
	);
	return inner ? `(${text})` : text;
}

function joined(parts: string[], word: string): string {
	if (parts.length < 2) return parts.join('');
	const comma = parts.length > 2 ? ',' : '';
	return `${parts.slice(0, -1).join(', ')}${comma} ${word} ${parts.at(-1)}`;
}

/** One leaf as a verb phrase of a plural sentence, plain or negated. */
export function describeLeaf(leaf: Leaf, names: Names, negated = false): string {
	const be = negated ? 'are not' : 'are';
	const have = negated ? 'do not have' : 'have';
	if (isNumberLeaf(leaf)) return describeNumber(leaf, be, have);
	if (isAttributeLeaf(leaf)) return describeAttribute(leaf, names, have);
	switch (leaf.field) {
		case 'tag':
			if (leaf.operator === 'is') return `${be} tagged “${leaf.value}”`;
			return `${have} a tag ${leaf.operator === 'contains' ? 'containing' : 'starting with'} “${leaf.value}”`;
		case 'category':
			return `${be} ${leaf.operator === 'only' ? 'directly in' : 'in'} ${names.category(leaf.value) ?? leaf.value}`;
		case 'product':
			return `${be} ${joined(
				leaf.value.map((key) => names.product(key) ?? key),
				'or'
			)}`;
		case 'brand':
			return `${be} of the brand ${joined(leaf.operator === 'in' ? leaf.value : [leaf.value], 'or')}`;
		case 'availability':
			return `${be} ${availabilityWords(leaf.value)}`;
		case 'onSale':
			return leaf.value === negated ? 'are not on sale' : 'are on sale';
		case 'page':
			return leaf.operator === 'kind' ? `${be} on a ${leaf.value} page` : `${be} on the page ${leaf.value}`;
	}
}

/** `MadeToOrder` as `made to order`. */
export function availabilityWords(term: string): string {
	return term.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
}

function describeNumber(leaf: NumberLeaf, be: string, have: string): string {
	const comparison = comparisonWords(leaf);
	switch (leaf.field) {
		case 'price':
			return `${be} priced ${comparison}`;
		case 'discount':
			return `${be} reduced by ${comparison.replace(/^below/, 'less than').replace(/^above/, 'more than')} percent`;
		case 'stock':
			return `${have} stock ${comparison}`;
		case 'age':
			return `${be} in the shop for ${comparison.replace(/^below/, 'less than').replace(/^above/, 'more than')} days`;
		case 'sold':
			return `${have} ${comparison} sold in 30 days`;
	}
}

/** A comparison in words: `below 5`, `between 10 and 20`. */
export function comparisonWords(
	leaf:
		| { operator: 'lt' | 'lte' | 'gt' | 'gte'; value: number | string }
		| { operator: 'between'; value: [number, number] | [string, string] }
): string {
	if (leaf.operator === 'between') return `between ${leaf.value[0]} and ${leaf.value[1]}`;
	return {
		lt: `below ${leaf.value}`,
		lte: `at most ${leaf.value}`,
		gt: `above ${leaf.value}`,
		gte: `at least ${leaf.value}`
	}[leaf.operator];
}

function describeAttribute(leaf: AttributeLeaf, names: Names, have: string): string {
	const name = names.attribute?.(attributeCode(leaf)) ?? attributeCode(leaf);
	switch (leaf.operator) {
		case 'has':
			return `${have} ${name}`;
		case 'is':
			return `${have} ${name} ${quoted(leaf.value)}`;
		case 'in':
			return `${have} ${name} ${joined(leaf.value.map(quoted), 'or')}`;
		case 'contains':
			return `${have} ${name} containing “${leaf.value}”`;
		default:
			return `${have} ${name} ${comparisonWords(leaf)}`;
	}
}

function quoted(value: string | number | boolean): string {
	if (typeof value === 'boolean') return value ? 'yes' : 'no';
	return typeof value === 'number' ? String(value) : `“${value}”`;
}
