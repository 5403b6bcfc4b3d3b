/** A live value as the editor offers it. */
export interface LiveValueInfo {
	name: string;
	label: string;
}

/** The live values that need no further word, in the order in which they are offered. */
export const PLAIN_VALUES: readonly LiveValueInfo[] = [
	{ name: 'product.title', label: 'Product · title' },
	{ name: 'product.price', label: 'Product · price' },
	{ name: 'product.listPrice', label: 'Product · list price' },
	{ name: 'product.saving', label: 'Product · saving' },
	{ name: 'product.savingPercent', label: 'Product · saving in percent' },
	{ name: 'product.stock', label: 'Product · stock' },
	{ name: 'product.sold', label: 'Product · sold in 30 days' },
	{ name: 'product.sku', label: 'Product · SKU' },
	{ name: 'product.brand', label: 'Product · brand' },
	{ name: 'product.category', label: 'Product · category' },
	{ name: 'product.summary', label: 'Product · summary' },
	{ name: 'product.image', label: 'Product · picture' },
	{ name: 'product.url', label: 'Product · address' },
	{ name: 'category.title', label: 'Category · title' },
	{ name: 'category.key', label: 'Category · key' },
	{ name: 'reviews.average', label: 'Reviews · average' },
	{ name: 'reviews.count', label: 'Reviews · how many' },
	{ name: 'delivery.date', label: 'Delivery · earliest day' },
	{ name: 'delivery.countdown', label: 'Delivery · time left to order' },
	{ name: 'store.name', label: 'Store · name' },
	{ name: 'store.url', label: 'Store · address' }
];

/** `attribute.` and a code, or `tag.` and a tag's beginning before its colon. */
const WORDED = /^(?:attribute\.[a-z][a-z0-9_]{0,62}|tag\.[^\s{}#,'":|][^{}#,'":|]{0,60})$/;
const plain = new Map(PLAIN_VALUES.map(({ name, label }) => [name, label]));

/** Whether a name is a live value's. */
export function isLiveValue(name: string): boolean {
	return plain.has(name) || WORDED.test(name);
}

/** A live value's label: `Product · title`, `Tag · lead`; an attribute's own where it is known. */
export function liveValueLabel(
	name: string,
	attributeLabel: (code: string) => string | undefined = () => undefined
): string {
	const known = plain.get(name);
	if (known !== undefined) return known;
	const code = attributeCodeOf(name);
	if (code === null) return `Tag · ${name.slice('tag.'.length)}`;
	return `Attribute · ${attributeLabel(code) ?? code.replace(/_/g, ' ')}`;
}

/** The code of the attribute that a live value names; null for any other. */
export function attributeCodeOf(name: string): string | null {
	return name.startsWith('attribute.') ? name.slice('attribute.'.length) : null;
}

/** The values that the shop's own page may know better, and that count as empty once they are too old. */
export const VOLATILE = [
	'product.price',
	'product.listPrice',
	'product.saving',
	'product.savingPercent',
	'product.stock'
];
