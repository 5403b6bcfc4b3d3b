import {
	attributeCode,
	availabilityWords,
	comparisonWords,
	isAttributeLeaf,
	isNumberLeaf,
	type Leaf,
	type Names,
	type NumberField
} from '@anbau/core/rules';

/** The words for numbers that a rule can compare. */
export const NUMBER_WORDS: Record<NumberField, string> = {
	price: 'price',
	discount: 'reduction in percent',
	stock: 'stock',
	age: 'days in the shop',
	sold: 'sold in 30 days'
};

/** A leaf as it stands on its chip; the sentence round it reads as English. */
export function chipText(leaf: Leaf, names: Names): string {
	if (isNumberLeaf(leaf)) return `${NUMBER_WORDS[leaf.field]} ${comparisonWords(leaf)}`;
	if (isAttributeLeaf(leaf)) return attributeText(leaf, names);
	switch (leaf.field) {
		case 'tag':
			return {
				is: `tag ${leaf.value}`,
				startsWith: `tag starts with ${leaf.value}`,
				contains: `tag contains ${leaf.value}`
			}[leaf.operator];
		case 'category':
			return `${leaf.operator === 'in' ? 'in' : 'directly in'} ${names.category(leaf.value) ?? leaf.value}`;
		case 'product':
			return leaf.value.map((key) => names.product(key) ?? key).join(' or ');
		case 'brand':
			return `brand ${leaf.operator === 'in' ? leaf.value.join(' or ') : leaf.value}`;
		case 'availability':
			return availabilityWords(leaf.value);
		case 'onSale':
			return leaf.value ? 'on sale' : 'not on sale';
		case 'page':
			return leaf.operator === 'kind' ? `${leaf.value} page` : `page ${leaf.value}`;
	}
}

function attributeText(leaf: Extract<Leaf, { field: `attribute.${string}` }>, names: Names): string {
	const name = names.attribute?.(attributeCode(leaf)) ?? attributeCode(leaf).replace(/_/g, ' ');
	switch (leaf.operator) {
		case 'has':
			return `has ${name}`;
		case 'is':
			return `${name} ${String(leaf.value)}`;
		case 'in':
			return `${name} ${leaf.value.join(' or ')}`;
		case 'contains':
			return `${name} contains ${leaf.value}`;
		default:
			return `${name} ${comparisonWords(leaf)}`;
	}
}

/** The look of a chip by what it is about: tag ochre, category sky, product plum, anything else moss. */
export function chipLook(leaf: Leaf): string {
	if (leaf.field === 'tag') return 'bg-ochre-soft text-ochre';
	if (leaf.field === 'category') return 'bg-sky-soft text-sky';
	if (leaf.field === 'product') return 'bg-plum-soft text-plum';
	return 'bg-moss-soft text-primary';
}

/** Adds a leaf to chips: products join the chip of products that is there, what is there already is not added. */
export function addLeaf(leaves: readonly Leaf[], leaf: Leaf): Leaf[] {
	if (leaf.field === 'product') {
		const own = leaves.find((one) => one.field === 'product');
		if (own?.field === 'product') {
			const value = [...new Set([...own.value, ...leaf.value])];
			return leaves.map((one) => (one === own ? { ...own, value } : one));
		}
	}
	const same = JSON.stringify(leaf);
	return leaves.some((one) => JSON.stringify(one) === same) ? [...leaves] : [...leaves, leaf];
}
