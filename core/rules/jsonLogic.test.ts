import fc from 'fast-check';
import jsonLogic from 'json-logic-js';
import { expect, it } from 'vitest';
import { factsOfProduct, fold, isWithin, type Facts } from '@anbau/core/catalog';
import * as arbitrary from '../testing/arbitraries.js';
import { evaluate, isAttributeLeaf, isLeaf, isNumberLeaf, type Leaf, type Rule } from '@anbau/core/rules';
import { NOW } from '../testing/arbitraries.js';

/**
 * A second implementation: the same rules said in JsonLogic and evaluated by the registry's `json-logic-js`. It has
 * all, any (as and, or), negation, comparison and membership; what it lacks is left out (tag prefixes, attributes
 * with several values, dates).
 */
function toJsonLogic(rule: Rule): unknown {
	if (isLeaf(rule)) return leafToJsonLogic(rule);
	if ('not' in rule) return { '!': [toJsonLogic(rule.not)] };
	const [rules, operator, empty] = 'all' in rule ? [rule.all, 'and', true] : [rule.any, 'or', false];
	return rules.length === 0 ? empty : { [operator]: rules.map(toJsonLogic) };
}

function leafToJsonLogic(leaf: Leaf): unknown {
	const known = (value: unknown, test: unknown) => ({ and: [{ '!==': [value, null] }, test] });
	if (isNumberLeaf(leaf)) {
		const value = { var: leaf.field };
		if (leaf.operator === 'between') return known(value, { '<=': [leaf.value[0], value, leaf.value[1]] });
		return known(value, { [{ lt: '<', lte: '<=', gt: '>', gte: '>=' }[leaf.operator]]: [value, leaf.value] });
	}
	switch (leaf.field) {
		case 'tag':
			return { in: [fold(leaf.value), { var: 'tags' }] };
		case 'category':
			return { in: [leaf.value, { var: leaf.operator === 'only' ? 'categories' : 'ancestors' }] };
		case 'product':
			return { in: [{ var: 'key' }, leaf.value] };
		case 'brand':
			return { in: [{ var: 'brand' }, (leaf.operator === 'in' ? leaf.value : [leaf.value]).map(fold)] };
		case 'availability':
			return { '===': [{ var: 'availability' }, leaf.value] };
		default:
			return { '===': [{ var: 'onSale' }, leaf.value] };
	}
}

function data(facts: Facts): object {
	const age = facts.created === null ? null : Math.floor((NOW - facts.created) / 86_400_000);
	const all = ['seeds', 'seeds/vegetables', 'seeds/vegetables/roots', 'seedsman', 'tools'];
	return {
		...facts,
		age,
		key: facts.page.key,
		ancestors: all.filter((key) => facts.categories.some((own) => isWithin(own, key)))
	};
}

const hasOperator = (leaf: Leaf) =>
	!isAttributeLeaf(leaf) && leaf.field !== 'page' && !(leaf.field === 'tag' && leaf.operator !== 'is');
const onlyKnown = (rule: Rule): boolean => {
	if (isLeaf(rule)) return hasOperator(rule);
	if ('not' in rule) return onlyKnown(rule.not);
	return ('all' in rule ? rule.all : rule.any).every(onlyKnown);
};

it('a rule holds exactly where json-logic-js says so', () => {
	fc.assert(
		fc.property(arbitrary.product('p1'), arbitrary.rule.filter(onlyKnown), (product, rule) => {
			const facts = factsOfProduct(product);
			expect(evaluate(rule, facts, NOW)).toBe(Boolean(jsonLogic.apply(toJsonLogic(rule) as never, data(facts))));
		}),
		{ numRuns: 2000 }
	);
});
