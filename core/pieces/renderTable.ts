import type { BodyPart } from './body.js';
import { element } from './html.js';
import type { Table, TableCell, TableRow } from './parts.js';
import type { BodyRenderer } from './render.js';

/** Renders a table: a row that lacks a value goes, one with the rests of several tags repeats, heads alone go too. */
export function table(part: Table, renderer: BodyRenderer, at: string): string[] {
	const isHead = ({ content }: TableRow) => content.every((cell) => cell.type === 'tableHeader');
	let hadRows = false;
	let hasRows = false;
	const rows = part.content.flatMap((one, i) => {
		const html = row(one, renderer, `${at}/content/${i}`);
		if (!isHead(one)) {
			hadRows = true;
			hasRows ||= html.length > 0;
		}
		return html;
	});
	if (rows.length === 0 || (hadRows && !hasRows)) return [];
	return [element('div', { class: 'anbau-table' }, element('table', {}, element('tbody', {}, rows.join(''))))];
}

function row({ content }: TableRow, renderer: BodyRenderer, at: string): string[] {
	const lines = content.flatMap((cell) =>
		cell.content.flatMap((part) => (part.type === 'paragraph' ? (part.content ?? []) : []))
	);
	const times = renderer.timesOf(lines, at);
	return Array.from({ length: times }, (_, turn) => {
		const cells = content.map((one, i) => cell(one, renderer, turn, `${at}/content/${i}/content`));
		return element('tr', {}, cells.join(''));
	});
}

function cell({ type, attrs, content }: TableCell, renderer: BodyRenderer, turn: number, at: string): string {
	const { colspan = 1, rowspan = 1 } = attrs ?? {};
	const own = { colspan: colspan > 1 ? colspan : null, rowspan: rowspan > 1 ? rowspan : null };
	return element(type === 'tableHeader' ? 'th' : 'td', own, inside(content, renderer, turn, at));
}

function inside(content: readonly BodyPart[], renderer: BodyRenderer, turn: number, at: string): string {
	const [only] = content;
	if (content.length === 1 && only?.type === 'paragraph') return renderer.line(only.content ?? [], turn);
	return content
		.flatMap((part, i) => {
			if (part.type !== 'paragraph') return renderer.part(part, `${at}/${i}`);
			// The row has asked for the values of its paragraphs already.
			const line = renderer.line(part.content ?? [], turn);
			return line === '' ? [] : [element('p', {}, line)];
		})
		.join('');
}
