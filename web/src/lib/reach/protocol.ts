import type { GoneName, MeantTag, Rule } from '@anbau/core/rules';

/** What a reach comes to, as the workbench shows it. */
export interface ReachSummary {
	total: number;
	matched: number;
	byCategory: { category: string; title: string; matched: number }[];
	gone: GoneName[];
	meant: MeantTag[];
}

/** A product as it is leafed through: its key, title, and place among those shown or not shown. */
export interface Leafed {
	key: string;
	title: string;
	position: number;
	count: number;
}

/** Something of the catalogue that a search text finds. */
export interface Found {
	field: 'tag' | 'category' | 'product' | 'brand';
	value: string;
	label: string;
	products: number;
}

/** What can be asked of the catalogue's index, with what it answers. */
export interface Questions {
	load: { ask: { version: string | null }; answer: { version: string; total: number } };
	reach: { ask: { rule: Rule; now: number }; answer: ReachSummary };
	/** The product at a place among the reached or unreached ones; places wrap round. `near` seeks one by key. */
	leaf: {
		ask: { rule: Rule; now: number; shown: boolean; position: number; near: string | null };
		answer: Leafed | null;
	};
	search: { ask: { text: string; fields: Found['field'][] }; answer: Found[] };
	names: {
		ask: { products: string[] };
		answer: { products: Record<string, string>; categories: Record<string, string> };
	};
	/** The beginnings of tags that carry a value: `part` of `part: HM-2231`. */
	beginnings: { ask: Record<string, never>; answer: { beginning: string; products: number }[] };
}

export type QuestionName = keyof Questions;
export type Ask<Name extends QuestionName> = Questions[Name]['ask'];
export type Answer<Name extends QuestionName> = Questions[Name]['answer'];

export interface Asked<Name extends QuestionName = QuestionName> {
	id: number;
	name: Name;
	ask: Ask<Name>;
}

export type Answered = { id: number; ok: true; answer: unknown } | { id: number; ok: false; message: string };
