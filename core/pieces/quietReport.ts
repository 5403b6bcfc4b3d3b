import type { RenderedPiece } from './pieceHtml.js';

/** What stays away of a piece, over the products that were looked at. */
export interface QuietAnswer {
	/** How many products were looked at. */
	checked: number;
	/** On how many nothing of the piece is left, and the first of them. */
	away: number;
	awayFrom: string[];
	/** The parts that stay away somewhere, the most often first; `at` points into the piece's document. */
	parts: { at: string; values: string[]; products: number; sample: string[] }[];
}

/** How many products are named. */
const NAMED = 50;

/** Gathers what the quiet rule takes away of a piece, product by product. */
export class QuietReport {
	private checked = 0;
	private away = 0;
	private readonly awayFrom: string[] = [];
	private readonly parts = new Map<string, { values: Set<string>; products: number; sample: string[] }>();

	add(product: string, rendered: Pick<RenderedPiece, 'html' | 'gone'>): void {
		this.checked++;
		if (rendered.html === '') {
			this.away++;
			if (this.awayFrom.length < NAMED) this.awayFrom.push(product);
		}
		for (const { at, values } of rendered.gone) {
			const part = this.parts.get(at) ?? { values: new Set<string>(), products: 0, sample: [] };
			this.parts.set(at, part);
			part.products++;
			for (const value of values) part.values.add(value);
			if (part.sample.length < NAMED) part.sample.push(product);
		}
	}

	answer(): QuietAnswer {
		const parts = [...this.parts].map(([at, { values, products, sample }]) => ({
			at,
			values: [...values],
			products,
			sample
		}));
		parts.sort((a, b) => b.products - a.products);
		return { checked: this.checked, away: this.away, awayFrom: this.awayFrom, parts };
	}
}
