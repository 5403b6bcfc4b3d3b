import type { Rule } from '@anbau/core/rules';

/** A body as the API takes it: Markdown, or the editor's document. */
type BodyInput = { markdown: string } | { type: 'doc'; content: object[] };

/** A piece document as the API takes it. */
export interface PieceDocument {
	kind: 'tab' | 'accordion' | 'message' | 'media' | 'reviews';
	name: string;
	heading?: string;
	note?: string;
	icon?: string;
	body?: BodyInput;
	panels?: { slug: string; heading: string; icon?: string; body: BodyInput; above?: BodyInput }[];
	settings?: unknown;
	style?: unknown;
	placements: ({ id: string; hook: string; priority: number } & Record<string, unknown>)[];
	target: Rule;
	audience?: { signedIn?: boolean; groups?: string[]; campaign?: string };
	windows?: { from: string | null; until: string | null; days: number[]; hours: null }[];
	on?: boolean;
}

export const tag = (value: string): Rule => ({ field: 'tag', operator: 'is', value });
export const markdown = (text: string): BodyInput => ({ markdown: text });
export const doc = (...content: object[]): BodyInput => ({ type: 'doc', content });
export const text = (words: string) => ({ type: 'text', text: words });
export const value = (name: string, more: object = {}) => ({ type: 'liveValue', attrs: { name, ...more } });
export const paragraph = (...content: object[]) => ({ type: 'paragraph', content });
export const heading = (words: string) => ({ type: 'heading', attrs: { level: 2 }, content: [text(words)] });
export const part = (type: string, attrs: object) => ({ type, attrs });
export const steps = (...lines: object[][]) => ({
	type: 'orderedList',
	content: lines.map((line) => ({ type: 'listItem', content: [paragraph(...line)] }))
});
export const iconList = (direction: 'column' | 'row', ...items: [icon: string, words: string][]) => ({
	type: 'iconList',
	attrs: { direction, size: 22, colour: '#2c6b43' },
	content: items.map(([icon, words]) => ({ type: 'iconItem', attrs: { icon }, content: [text(words)] }))
});
export const within = (value: string): Rule => ({ field: 'category', operator: 'in', value });
