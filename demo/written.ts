import { slugify } from '@anbau/core/catalog';
import type { DemoProduct } from './product.js';
import written from './written.json' with { type: 'json' };

/** What was written of a product; the rest is made here. */
interface Written {
	title: string;
	category: string;
	price: string;
	listPrice?: string;
	stock: number;
	availability?: string;
	brand?: string;
	tags: string[];
	summary: string;
	attributes: Record<string, string>;
}

const CARE: Record<string, string> = {
	'Greenhouses & frames': 'Pick a level, sunny spot out of the wind and leave a path all round it.',
	Seeds: 'Sow thinly, water with a fine rose, and thin the seedlings as soon as you can hold them.',
	'Trees & shrubs': 'Soak the roots for an hour before planting and firm the soil with your heel.',
	Tools: 'Clean after use and rub the steel with an oily rag before the winter.',
	Bulbs: 'Plant at three times the height of the bulb, the pointed end up.',
	'Soil & feed': 'Store dry and frost-free; opened bags keep for one season.',
	Watering: 'Empty before the first frost.',
	'Raised beds': 'Line with hardware cloth against voles, then fill in layers.',
	Benches: 'Oil once a year in spring; the wood greys where it is left alone.',
	Vouchers: 'Valid for three years, for everything we sell.'
};

/** A description of a few paragraphs that any product of its kind can carry. */
export function describeProduct(title: string, summary: string, category: string): string {
	const care = CARE[category.split(' > ')[0] ?? ''] ?? '';
	return [
		`<p>${summary}</p>`,
		`<p>We grow, build or try out everything we sell at Hollowmere, and ${title} has been part of our own garden for years.</p>`,
		'<h3>Good to know</h3>',
		`<p>${care}</p>`,
		'<p>Questions? Our gardeners answer the telephone on every weekday until four.</p>'
	].join('');
}

/** The products that were written out with care. */
export function writtenProducts(): DemoProduct[] {
	return (written as Written[]).map(({ category, ...product }, i) => ({
		key: slugify(product.title),
		sku: `HM-${String(1000 + i * 7)}`,
		description: describeProduct(product.title, product.summary, category),
		listPrice: '',
		availability: product.stock > 0 ? 'InStock' : 'OutOfStock',
		brand: '',
		categories: [category],
		created: `2025-${String((i % 12) + 1).padStart(2, '0')}-${String(((i * 5) % 28) + 1).padStart(2, '0')}`,
		sold30: (i * 37) % 90,
		...product
	}));
}
