/** A product of Hollowmere Garden Supply as its catalogue has it: texts, and decimal strings for money. */
export interface DemoProduct {
	key: string;
	sku: string;
	title: string;
	summary: string;
	/** Paragraphs and headings, HTML. */
	description: string;
	price: string;
	listPrice: string;
	stock: number;
	availability: string;
	brand: string;
	categories: string[];
	tags: string[];
	created: string;
	sold30: number;
	attributes: Record<string, string>;
}
