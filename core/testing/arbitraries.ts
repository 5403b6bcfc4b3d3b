import fc from 'fast-check';
import { AVAILABILITIES, type Product } from '@anbau/core/catalog';
import type { Leaf, Rule } from '@anbau/core/rules';

/** Random products and rules that often meet: few words, spelled in different ways. */
const TAGS = [
	'oak',
	'Oak',
	' OAK ',
	'oaks',
	'lead: 5 days',
	'lead: 10 days',
	'made-to-order',
	'made to order',
	'Ünder',
	'U\u0308nder',
	'%',
	'_x'
];
const CATEGORIES = ['seeds', 'seeds/vegetables', 'seeds/vegetables/roots', 'seedsman', 'tools'];
const BRANDS = ['Quillmoss', 'quillmoss ', 'Tarnwell Forge'];
const KEYS = ['p0', 'p1', 'p2', 'p3', 'p4', 'p5', 'gone'];
const TEXTS = ['Larch', 'larch', 'Oak', '12', '12.5', '-3', '2026-02-28', '2026-03-31', 'yes', ''];

const nullable = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: null });

export const NOW = Date.parse('2026-11-24T12:00:00Z');

const attributeValue = fc.oneof(
	fc.constantFrom(...TEXTS),
	fc.integer({ min: -20, max: 20 }),
	fc.boolean(),
	fc.array(fc.constantFrom(...TEXTS), { maxLength: 3 })
);

export const product = (key: string): fc.Arbitrary<Product> =>
	fc.record({
		key: fc.constant(key),
		sku: fc.constant(null),
		title: fc.constant(`Product ${key}`),
		summary: fc.constant(''),
		description: fc.constant(''),
		price: nullable(fc.integer({ min: 0, max: 20000 })),
		listPrice: nullable(fc.integer({ min: 0, max: 20000 })),
		currency: fc.constantFrom('EUR', 'JPY', 'KWD'),
		stock: nullable(fc.integer({ min: -2, max: 20 })),
		availability: nullable(fc.constantFrom(...AVAILABILITIES)),
		visible: fc.constant(true),
		brand: nullable(fc.constantFrom(...BRANDS)),
		images: fc.constant([]),
		tags: fc.uniqueArray(fc.constantFrom(...TAGS), { maxLength: 4 }),
		categories: fc.uniqueArray(fc.constantFrom(...CATEGORIES), { maxLength: 2 }),
		created: nullable(fc.integer({ min: -40, max: 3 }).map((days) => new Date(NOW + days * 43_200_000).toISOString())),
		sold30: nullable(fc.integer({ min: 0, max: 50 })),
		url: fc.constant(null),
		attributes: fc.dictionary(fc.constantFrom('material', 'size'), attributeValue, { maxKeys: 2 }),
		freshness: fc.constant(null)
	});

export const products: fc.Arbitrary<Product[]> = fc
	.integer({ min: 0, max: 6 })
	.chain((count) => fc.tuple(...Array.from({ length: count }, (_, i) => product(`p${i}`))));

const bound = fc.oneof(fc.integer({ min: -3, max: 210 }), fc.constantFrom(49.9, 0.5, 12.5));
const ordered = <T extends number | string>(value: fc.Arbitrary<T>) =>
	fc.tuple(value, value).map(([a, b]): [T, T] => (a <= b ? [a, b] : [b, a]));
const single = fc.constantFrom('lt' as const, 'lte' as const, 'gt' as const, 'gte' as const);
const date = fc.constantFrom('2026-01-01', '2026-02-28', '2026-03-31');
const word = fc.constantFrom(...TAGS).filter((text) => text.trim() !== '');
const text = fc.constantFrom(...TEXTS.filter((one) => one !== ''));
const numberField = fc.constantFrom(
	'price' as const,
	'discount' as const,
	'stock' as const,
	'age' as const,
	'sold' as const
);
const attribute = fc.constantFrom(
	'attribute.material' as const,
	'attribute.size' as const,
	'attribute.unknown' as const
);

export const leaf: fc.Arbitrary<Leaf> = fc.oneof(
	fc.record({
		field: fc.constant('tag' as const),
		operator: fc.constantFrom('is' as const, 'startsWith' as const, 'contains' as const),
		value: word
	}),
	fc.record({
		field: fc.constant('category' as const),
		operator: fc.constantFrom('in' as const, 'only' as const),
		value: fc.constantFrom(...CATEGORIES)
	}),
	fc.record({
		field: fc.constant('product' as const),
		operator: fc.constant('in' as const),
		value: fc.uniqueArray(fc.constantFrom(...KEYS), { minLength: 1, maxLength: 3 })
	}),
	fc.record({
		field: fc.constant('brand' as const),
		operator: fc.constant('is' as const),
		value: fc.constantFrom(...BRANDS)
	}),
	fc.record({
		field: fc.constant('brand' as const),
		operator: fc.constant('in' as const),
		value: fc.array(fc.constantFrom(...BRANDS), { minLength: 1, maxLength: 2 })
	}),
	fc.record({ field: numberField, operator: single, value: bound }),
	fc.record({ field: numberField, operator: fc.constant('between' as const), value: ordered(bound) }),
	fc.record({
		field: fc.constant('availability' as const),
		operator: fc.constant('is' as const),
		value: fc.constantFrom(...AVAILABILITIES)
	}),
	fc.record({ field: fc.constant('onSale' as const), operator: fc.constant('is' as const), value: fc.boolean() }),
	fc.record({ field: attribute, operator: fc.constant('has' as const), value: fc.constant(true as const) }),
	fc.record({
		field: attribute,
		operator: fc.constant('is' as const),
		value: fc.oneof(text, fc.integer({ min: -5, max: 13 }), fc.boolean())
	}),
	fc.record({
		field: attribute,
		operator: fc.constant('in' as const),
		value: fc.array(fc.oneof(text, fc.constantFrom(12, 12.5)), { minLength: 1, maxLength: 2 })
	}),
	fc.record({
		field: attribute,
		operator: fc.constant('contains' as const),
		value: fc.constantFrom('a', 'LAR', '2026', '%')
	}),
	fc.record({ field: attribute, operator: single, value: fc.oneof(bound, date) }),
	fc.record({
		field: attribute,
		operator: fc.constant('between' as const),
		value: fc.oneof(ordered(bound), ordered(date))
	}),
	fc.record({
		field: fc.constant('page' as const),
		operator: fc.constant('key' as const),
		value: fc.constantFrom(...KEYS)
	}),
	fc.record({
		field: fc.constant('page' as const),
		operator: fc.constant('kind' as const),
		value: fc.constantFrom('product' as const, 'category' as const)
	})
);

export const rule: fc.Arbitrary<Rule> = fc.letrec<{ rule: Rule }>((tie) => ({
	rule: fc.oneof(
		{ depthSize: 'small', maxDepth: 4 },
		leaf,
		fc.record({ all: fc.array(tie('rule'), { maxLength: 3 }) }),
		fc.record({ any: fc.array(tie('rule'), { maxLength: 3 }) }),
		fc.record({ not: tie('rule') })
	)
})).rule;
