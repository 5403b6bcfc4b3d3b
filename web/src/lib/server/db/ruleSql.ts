import { fold } from '@anbau/core/catalog';
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
} from '@anbau/core/rules';

/**
 * A rule as a condition on `product p`: the same answers as the core's `evaluate`. Every value is a parameter,
 * appended to `values`. `now` in milliseconds since the epoch; `digits` are the minor-unit digits of each currency
 * that the catalogue has.
 */
export function ruleToSql(rule: Rule, now: number, digits: Record<string, number>, values: unknown[]): string {
	const compiler = new RuleCompiler(now, digits, values);
	return compiler.rule(rule);
}

class RuleCompiler {
	constructor(
		private readonly now: number,
		private readonly digits: Record<string, number>,
		private readonly values: unknown[]
	) {}

	rule(rule: Rule): string {
		if (isLeaf(rule)) return `coalesce(${this.leaf(rule)}, false)`;
		if ('not' in rule) return `NOT ${this.rule(rule.not)}`;
		const [rules, joint, empty] = 'all' in rule ? [rule.all, ' AND ', 'true'] : [rule.any, ' OR ', 'false'];
		return rules.length === 0 ? empty : `(${rules.map((child) => this.rule(child)).join(joint)})`;
	}

	private param(value: unknown, type: string): string {
		this.values.push(value);
		return `$${this.values.length}::${type}`;
	}

	private leaf(leaf: Leaf): string {
		if (isNumberLeaf(leaf)) return this.compare(this.number(leaf.field), leaf, 'float8');
		if (isAttributeLeaf(leaf)) return this.attribute(leaf);
		switch (leaf.field) {
			case 'tag':
				return this.text('p.tags_folded', leaf.operator, fold(leaf.value));
			case 'category': {
				const key = this.param(leaf.value, 'text');
				if (leaf.operator === 'only') return `${key} = ANY(p.categories)`;
				return `EXISTS (SELECT FROM unnest(p.categories) c WHERE c = ${key} OR starts_with(c, ${key} || '/'))`;
			}
			case 'product':
				return `p.key = ANY(${this.param(leaf.value, 'text[]')})`;
			case 'brand':
				return `p.brand_folded = ANY(${this.param((leaf.operator === 'in' ? leaf.value : [leaf.value]).map(fold), 'text[]')})`;
			case 'availability':
				return `p.availability = ${this.param(leaf.value, 'text')}`;
			case 'onSale':
				return `(p.price IS NOT NULL AND (p.list_price IS NOT NULL AND p.list_price > p.price) = ${this.param(leaf.value, 'boolean')})`;
			case 'page':
				return leaf.operator === 'key' ? `p.key = ${this.param(leaf.value, 'text')}` : String(leaf.value === 'product');
		}
	}

	private text(column: string, operator: 'is' | 'startsWith' | 'contains', wanted: string): string {
		const value = this.param(wanted, 'text');
		if (operator === 'is') return `${value} = ANY(${column})`;
		const test = operator === 'startsWith' ? `starts_with(t, ${value})` : `strpos(t, ${value}) > 0`;
		return `EXISTS (SELECT FROM unnest(${column}) t WHERE ${test})`;
	}

	private number(field: NumberField): string {
		switch (field) {
			case 'price':
				return `p.price / power(10, (${this.param(JSON.stringify(this.digits), 'jsonb')} ->> p.currency)::int)::float8`;
			case 'discount':
				return `CASE WHEN p.list_price > 0 THEN (100 * (p.list_price - p.price))::float8 / p.list_price END`;
			case 'stock':
				return 'p.stock';
			case 'sold':
				return 'p.sold30';
			case 'age':
				return `floor((${this.param(this.now, 'numeric')} - round(extract(epoch FROM p.created) * 1000)) / 86400000)::float8`;
		}
	}

	private compare(
		expression: string,
		leaf: Pick<NumberLeaf, 'operator'> & { value: unknown },
		type: 'float8' | 'text'
	): string {
		const collated = type === 'text' ? ' COLLATE "C"' : '';
		if (leaf.operator === 'between' && Array.isArray(leaf.value)) {
			const [low, high] = leaf.value as [unknown, unknown];
			return `${expression}${collated} BETWEEN ${this.param(low, type)} AND ${this.param(high, type)}`;
		}
		const sign = { lt: '<', lte: '<=', gt: '>', gte: '>=', between: '=' }[leaf.operator];
		return `${expression}${collated} ${sign} ${this.param(leaf.value, type)}`;
	}

	private attribute(leaf: AttributeLeaf): string {
		const facts = `(p.attribute_facts -> ${this.param(attributeCode(leaf), 'text')})`;
		const texts = `${facts} -> 'text'`;
		switch (leaf.operator) {
			case 'has':
				return `jsonb_array_length(${texts}) > 0`;
			case 'is':
				return this.equals(facts, leaf.value);
			case 'in':
				return `(${leaf.value.map((value) => `coalesce(${this.equals(facts, value)}, false)`).join(' OR ')})`;
			case 'contains':
				return `EXISTS (SELECT FROM jsonb_array_elements_text(${texts}) t WHERE strpos(t, ${this.param(fold(leaf.value), 'text')}) > 0)`;
			default: {
				const bound: unknown = leaf.operator === 'between' ? leaf.value[0] : leaf.value;
				if (typeof bound === 'number') return this.compare(`(${facts} ->> 'number')::float8`, leaf, 'float8');
				return this.compare(`(${facts} ->> 'date')`, leaf, 'text');
			}
		}
	}

	private equals(facts: string, value: string | number | boolean): string {
		if (typeof value === 'number') return `(${facts} ->> 'number')::float8 = ${this.param(value, 'float8')}`;
		const text = typeof value === 'boolean' ? (value ? 'yes' : 'no') : fold(value);
		return `${facts} -> 'text' ? ${this.param(text, 'text')}`;
	}
}
