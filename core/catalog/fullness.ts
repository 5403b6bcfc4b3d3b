import { appliesTo, type AttributeDefinition } from './attribute.js';
import type { Product } from './product.js';

/** How many of those who should have an attribute's value have one. */
export interface Filled {
	applies: number;
	filled: number;
}

/** How full an attribute is, in all and per top category of the products it applies to. */
export interface Fullness extends Filled {
	byCategory: Record<string, Filled>;
}

type Counted = Pick<Product, 'categories' | 'attributes'>;

/** Counts how full each attribute of products is. A product in several top categories counts in each of them. */
export function fullnessOf(
	definitions: readonly AttributeDefinition[],
	products: Iterable<Counted>
): Record<string, Fullness> {
	const counted: Record<string, Fullness> = Object.fromEntries(
		definitions.map(({ code }) => [code, { applies: 0, filled: 0, byCategory: {} }])
	);
	for (const { categories, attributes } of products) {
		const tops = new Set(categories.map((key) => key.split('/')[0] ?? key));
		for (const definition of definitions) {
			const total = counted[definition.code];
			if (!total || !appliesTo(definition, categories)) continue;
			const filled = attributes[definition.code] === undefined ? 0 : 1;
			for (const one of [total, ...[...tops].map((top) => (total.byCategory[top] ??= { applies: 0, filled: 0 }))]) {
				one.applies++;
				one.filled += filled;
			}
		}
	}
	return counted;
}
