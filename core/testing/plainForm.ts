import { parseFragment, type DefaultTreeAdapterTypes } from 'parse5';
import { parseText, type Body, type BodyPart, type Inline } from '@anbau/core/pieces';

/** A document reduced to what a reader gets: its blocks, and in them runs of text with their marks. */
export type PlainForm = Plain[];
type Plain = string | Plain[];

interface Run {
	text: string;
	marks: string[];
}

const LEVELS: Record<string, string> = { h1: 'h2', h2: 'h2', h3: 'h3', h4: 'h4', h5: 'h4', h6: 'h4' };
const MARKS: Record<string, string> = { em: 'em', strong: 'strong', code: 'code' };

/** Joins runs of the same marks, and writes white space as HTML shows it. */
function lineOf(runs: readonly Run[]): PlainForm {
	const joined: Run[] = [];
	for (const { text, marks } of runs) {
		const last = joined.at(-1);
		if (last && last.marks.join() === marks.join()) last.text += text;
		else if (text !== '') joined.push({ text, marks });
	}
	const written = joined.map(({ text, marks }) => `${[...marks].sort().join('+')}:${text}`).join('|');
	return [
		written
			.replace(/\s+/g, ' ')
			.replace(/ ?⏎ ?/g, '⏎')
			.replace(/(^|\|)([^:]*): /, '$1$2:')
			.replace(/ $/, '')
	];
}

const linkMark = (href: string) => `a=${new URL(href, 'https://x.example/').href}`;

/** The plain form of HTML. What quotes nothing is left out; a picture is a block of its own, or, inside marked text, what it shows in words. */
export function plainFormOfHtml(html: string): PlainForm {
	return blocksOf(parseFragment(html).childNodes);
}

type Node = DefaultTreeAdapterTypes.ChildNode;
type Element = DefaultTreeAdapterTypes.Element;

function blocksOf(nodes: readonly Node[]): PlainForm {
	const out: PlainForm = [];
	let run: Run[] = [];
	const end = () => {
		const line = lineOf(run);
		if (line[0] !== '' && line[0] !== ':') out.push(['p', ...line]);
		run = [];
	};
	for (const node of nodes) {
		if (!('tagName' in node)) run.push(...runsOf(node, []));
		else if (['ul', 'ol', 'li', 'blockquote', 'hr', 'p'].includes(node.tagName) || LEVELS[node.tagName]) {
			end();
			out.push(...block(node));
		} else if (node.tagName === 'img') {
			end();
			out.push(['img', attribute(node, 'src')]);
		} else run.push(...runsOf(node, []));
	}
	end();
	return out;
}

function block(node: Element): PlainForm {
	const level = LEVELS[node.tagName];
	if (level) return [[level, ...lineOf(node.childNodes.flatMap((child) => runsOf(child, [])))]];
	if (node.tagName === 'p') return blocksOf(node.childNodes);
	const name = node.tagName === 'ol' ? `ol${attribute(node, 'start') || '1'}` : node.tagName;
	const inside = blocksOf(node.childNodes);
	return name === 'blockquote' && inside.length === 0 ? [] : [[name, ...inside]];
}

function runsOf(node: Node, marks: string[]): Run[] {
	if ('value' in node) return [{ text: node.value, marks }];
	if (!('tagName' in node)) return [];
	if (node.tagName === 'br') return [{ text: '⏎', marks: [] }];
	if (node.tagName === 'img') return [{ text: attribute(node, 'alt'), marks }];
	const mark = node.tagName === 'a' ? linkMark(attribute(node, 'href')) : MARKS[node.tagName];
	const inner = mark && !marks.includes(mark) ? [...marks, mark] : marks;
	return node.childNodes.flatMap((child) => runsOf(child, inner));
}

function attribute(node: Element, name: string): string {
	return node.attrs.find((one) => one.name === name)?.value ?? '';
}

/** The plain form of a body, without the quiet rule. */
export function plainFormOfBody({ content }: Pick<Body, 'content'>): PlainForm {
	return content.flatMap((part): PlainForm => {
		switch (part.type) {
			case 'paragraph': {
				const line = lineOf((part.content ?? []).map(runOf));
				return line[0] === '' || line[0] === ':' ? [] : [['p', ...line]];
			}
			case 'heading':
				return [[`h${part.attrs.level}`, ...lineOf((part.content ?? []).map(runOf))]];
			case 'bulletList':
				return [['ul', ...itemsOf(part)]];
			case 'orderedList':
				return [[`ol${part.attrs?.start ?? 1}`, ...itemsOf(part)]];
			case 'blockquote':
				return [['blockquote', ...plainFormOfBody(part)]];
			case 'horizontalRule':
				return [['hr']];
			case 'image':
				return [['img', plainAddress(part.attrs.src)]];
			default:
				throw new Error(`no example has a ${part.type}`);
		}
	});
}

function itemsOf(list: Extract<BodyPart, { type: 'bulletList' | 'orderedList' }>): PlainForm {
	return list.content.map((item) => ['li', ...plainFormOfBody(item)]);
}

function runOf(part: Inline): Run {
	if (part.type === 'hardBreak') return { text: '⏎', marks: [] };
	if (part.type !== 'text') throw new Error('no example has a live value');
	const marks = (part.marks ?? []).map((mark) => {
		if (mark.type === 'link') return linkMark(plainAddress(mark.attrs.href));
		return { bold: 'strong', italic: 'em', underline: 'u', strike: 's', code: 'code' }[mark.type];
	});
	return { text: part.text, marks };
}

function plainAddress(template: string): string {
	return parseText(template)
		.map((part) => ('text' in part ? part.text : ''))
		.join('');
}
