import { catalogIndex } from './catalogIndex.js';

/** The products that a text finds, as a list to pick from. */
export async function searchProducts(text: string): Promise<{ value: string; label: string }[]> {
	const found = await catalogIndex.ask('search', { text, fields: ['product'] });
	return found.map(({ value, label }) => ({ value, label }));
}
