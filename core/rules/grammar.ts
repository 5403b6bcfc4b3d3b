import { z } from 'zod';
import { AVAILABILITIES, isIsoDate, PAGE_KINDS } from '@anbau/core/catalog';

/** The deepest nesting of groups a rule may have. */
export const MAX_DEPTH = 6;
/** The most leaves a rule may have. */
export const MAX_LEAVES = 200;

const text = z.string().trim().min(1, 'must not be empty').max(200);
const key = z.string().min(1, 'must not be empty').max(200);
const finite = z.number();
const range = <T extends number | string>(bound: z.ZodType<T, T>) =>
	z.tuple([bound, bound]).refine(([low, high]) => low <= high, 'must begin with the lower bound');
const isoDate = z.string().refine(isIsoDate, 'must be a date that exists, like 2027-03-31');

/** Comparisons of numbers and dates; `between` includes both bounds. */
export const COMPARISONS = ['lt', 'lte', 'gt', 'gte', 'between'] as const;
export type Comparison = (typeof COMPARISONS)[number];
const SINGLE = ['lt', 'lte', 'gt', 'gte'] as const;

/** Fields that hold a number: price in major units, discount in percent, age in days, sold in 30 days. */
export const NUMBER_FIELDS = ['price', 'discount', 'stock', 'age', 'sold'] as const;
export type NumberField = (typeof NUMBER_FIELDS)[number];

const tagLeaf = z.strictObject({
	field: z.literal('tag'),
	operator: z.enum(['is', 'startsWith', 'contains']),
	value: text
});
const categoryLeaf = z.strictObject({ field: z.literal('category'), operator: z.enum(['in', 'only']), value: key });
const productLeaf = z.strictObject({
	field: z.literal('product'),
	operator: z.literal('in'),
	value: z.array(key).min(1, 'must name at least one product').max(1000)
});
const brandLeaf = z.discriminatedUnion('operator', [
	z.strictObject({ field: z.literal('brand'), operator: z.literal('is'), value: text }),
	z.strictObject({ field: z.literal('brand'), operator: z.literal('in'), value: z.array(text).min(1).max(200) })
]);
const numberLeaf = z.discriminatedUnion('operator', [
	z.strictObject({ field: z.enum(NUMBER_FIELDS), operator: z.enum(SINGLE), value: finite }),
	z.strictObject({ field: z.enum(NUMBER_FIELDS), operator: z.literal('between'), value: range(finite) })
]);
const availabilityLeaf = z.strictObject({
	field: z.literal('availability'),
	operator: z.literal('is'),
	value: z.enum(AVAILABILITIES)
});
const onSaleLeaf = z.strictObject({ field: z.literal('onSale'), operator: z.literal('is'), value: z.boolean() });
const attributeField = z
	.templateLiteral(['attribute.', z.string()])
	.refine(
		(field) => /^attribute\.[a-z][a-z0-9_]{0,62}$/.test(field),
		'must be attribute. and a code of lower-case letters, digits and _'
	);
const attributeLeaf = z.discriminatedUnion('operator', [
	z.strictObject({ field: attributeField, operator: z.literal('has'), value: z.literal(true) }),
	z.strictObject({ field: attributeField, operator: z.literal('is'), value: z.union([text, finite, z.boolean()]) }),
	z.strictObject({
		field: attributeField,
		operator: z.literal('in'),
		value: z
			.array(z.union([text, finite]))
			.min(1)
			.max(200)
	}),
	z.strictObject({ field: attributeField, operator: z.literal('contains'), value: text }),
	z.strictObject({ field: attributeField, operator: z.enum(SINGLE), value: z.union([finite, isoDate]) }),
	z.strictObject({
		field: attributeField,
		operator: z.literal('between'),
		value: z.union([range(finite), range(isoDate)])
	})
]);
const pageLeaf = z.discriminatedUnion('operator', [
	z.strictObject({ field: z.literal('page'), operator: z.literal('kind'), value: z.enum(PAGE_KINDS) }),
	z.strictObject({ field: z.literal('page'), operator: z.literal('key'), value: key })
]);

/** The schema of each field's leaves; `attribute` stands for every `attribute.<code>`. */
export const LEAF_SCHEMAS = {
	tag: tagLeaf,
	category: categoryLeaf,
	product: productLeaf,
	brand: brandLeaf,
	price: numberLeaf,
	discount: numberLeaf,
	stock: numberLeaf,
	age: numberLeaf,
	sold: numberLeaf,
	availability: availabilityLeaf,
	onSale: onSaleLeaf,
	attribute: attributeLeaf,
	page: pageLeaf
};

const leafSchema = z.union([
	tagLeaf,
	categoryLeaf,
	productLeaf,
	brandLeaf,
	numberLeaf,
	availabilityLeaf,
	onSaleLeaf,
	attributeLeaf,
	pageLeaf
]);

export type TagLeaf = z.infer<typeof tagLeaf>;
export type NumberLeaf = z.infer<typeof numberLeaf>;
export type AttributeLeaf = z.infer<typeof attributeLeaf>;
export type PageLeaf = z.infer<typeof pageLeaf>;
export type Leaf = z.infer<typeof leafSchema>;

/** A rule: a leaf, its negation, or a group. An empty `all` is every product, an empty `any` none. */
export type Rule = { all: Rule[] } | { any: Rule[] } | { not: Rule } | Leaf;

/** The shape of a rule, for JSON Schema. `parseRule` reads with better messages and checks the limits too. */
export const ruleShape: z.ZodType<Rule> = z.lazy(() =>
	z.union([
		z.strictObject({ all: z.array(ruleShape) }),
		z.strictObject({ any: z.array(ruleShape) }),
		z.strictObject({ not: ruleShape }),
		leafSchema
	])
);

export const EVERY_PRODUCT: Rule = { all: [] };
export const ONLY_BY_HAND: Rule = { any: [] };

/** Whether a rule is a leaf. */
export function isLeaf(rule: Rule): rule is Leaf {
	return 'field' in rule;
}

/** Whether a leaf compares a number of the product. */
export function isNumberLeaf(leaf: Leaf): leaf is NumberLeaf {
	return (NUMBER_FIELDS as readonly string[]).includes(leaf.field);
}

/** Whether a leaf asks about an attribute. */
export function isAttributeLeaf(leaf: Leaf): leaf is AttributeLeaf {
	return leaf.field.startsWith('attribute.');
}

/** The code of the attribute that a leaf asks about. */
export function attributeCode(leaf: AttributeLeaf): string {
	return leaf.field.slice('attribute.'.length);
}

/** Every leaf of a rule with its JSON pointer (RFC 6901), in reading order. */
export function leavesOf(rule: Rule, at = ''): { at: string; leaf: Leaf }[] {
	if (isLeaf(rule)) return [{ at, leaf: rule }];
	if ('not' in rule) return leavesOf(rule.not, `${at}/not`);
	const [name, rules] = 'all' in rule ? (['all', rule.all] as const) : (['any', rule.any] as const);
	return rules.flatMap((child, i) => leavesOf(child, `${at}/${name}/${i}`));
}
