import { CATALOG_COLUMNS, csvLine } from '@anbau/core/catalog';
import { generatedProducts } from './generated.js';
import type { DemoProduct } from './product.js';
import { writtenProducts } from './written.js';

export type { DemoProduct } from './product.js';

/** The whole catalogue of Hollowmere Garden Supply. */
export function demoProducts(): DemoProduct[] {
	const written = writtenProducts();
	return [...written, ...generatedProducts(new Set(written.map((product) => product.key)))];
}

const ATTRIBUTES = ['sowing_depth', 'spacing', 'hardiness', 'material', 'glazing'];

/** The catalogue as the CSV file that the shop hands out; addresses lead to the shop. */
export function catalogueCsv(products: readonly DemoProduct[], shopUrl: string): string {
	const header = [...CATALOG_COLUMNS, ...ATTRIBUTES.map((code) => `attribute.${code}`)];
	const lines = products.map((product) => csvLine(cellsOf(product, shopUrl)));
	return [csvLine(header), ...lines, ''].join('\r\n');
}

function cellsOf(product: DemoProduct, shopUrl: string): string[] {
	const cells: Record<(typeof CATALOG_COLUMNS)[number], string> = {
		...product,
		currency: 'EUR',
		stock: String(product.stock),
		visible: 'yes',
		categories: product.categories.join('|'),
		tags: product.tags.join('|'),
		images: `${shopUrl}/images/${product.key}.svg`,
		sold30: String(product.sold30),
		url: `${shopUrl}/products/${product.key}`
	};
	return [
		...CATALOG_COLUMNS.map((column) => cells[column]),
		...ATTRIBUTES.map((code) => product.attributes[code] ?? '')
	];
}
