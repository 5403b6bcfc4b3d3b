import type { Element, Root } from 'hast';
import { fromHtml } from 'hast-util-from-html';
import { sanitize, type Schema } from 'hast-util-sanitize';
import { toHtml } from 'hast-util-to-html';
import { find, html as htmlSchema } from 'property-information';

/** HTML without what could run or reach out of its place, and what was taken out of it, in words. */
export interface Sanitized {
	html: string;
	removed: string[];
}

/** Elements whose content goes with them. */
const STRIPPED = [
	...['script', 'style', 'textarea', 'select', 'noscript', 'template', 'title', 'iframe', 'object', 'svg', 'math'],
	...['metadata', 'foreignObject', 'desc']
];

const HTML: Schema = {
	tagNames: [
		...['a', 'abbr', 'b', 'blockquote', 'br', 'caption', 'cite', 'code', 'col', 'colgroup', 'dd', 'del', 'details'],
		...['dfn', 'div', 'dl', 'dt', 'em', 'figcaption', 'figure', 'h2', 'h3', 'h4', 'h5', 'h6', 'hr', 'i', 'img', 'ins'],
		...['kbd', 'li', 'mark', 'ol', 'p', 'pre', 'q', 's', 'samp', 'small', 'span', 'strong', 'sub', 'summary', 'sup'],
		...['table', 'tbody', 'td', 'tfoot', 'th', 'thead', 'time', 'tr', 'u', 'ul', 'var', 'wbr']
	],
	attributes: {
		'*': ['title', 'lang', 'dir', 'className', 'ariaLabel', 'ariaHidden', 'role'],
		a: ['href', 'hrefLang', 'download'],
		img: ['src', 'alt', 'width', 'height', 'loading'],
		td: ['colSpan', 'rowSpan', 'headers'],
		th: ['colSpan', 'rowSpan', 'scope', 'headers'],
		ol: ['start', 'reversed', 'type'],
		time: ['dateTime'],
		details: ['open']
	},
	protocols: { href: ['http', 'https', 'mailto', 'tel'], src: ['http', 'https'] },
	strip: STRIPPED
};

/**
 * Cleans HTML of others: only elements and attributes of a list stay (hast-util-sanitize over parse5, the WHATWG
 * algorithm). What was taken out is said once for each element and attribute. Cleaning what is clean changes nothing.
 */
export function sanitizeHtml(html: string): Sanitized {
	const tree = fromHtml(html, { fragment: true });
	return { html: written(sanitize(tree, HTML)), removed: removedFrom(tree) };
}

function written(tree: ReturnType<typeof sanitize>): string {
	return toHtml(tree, { closeSelfClosing: false });
}

/** What the list does not have, in the order in which it is met. */
function removedFrom(tree: Root): string[] {
	const removed = new Set<string>();
	const walk = (node: Root | Element) => {
		for (const child of node.children) {
			if (child.type !== 'element') continue;
			for (const one of removedOf(child)) removed.add(one);
			if (!STRIPPED.includes(child.tagName)) walk(child);
		}
	};
	walk(tree);
	return [...removed];
}

/** What goes of one element: itself, attributes, or an address that is not allowed. */
function removedOf({ tagName, properties }: Element): string[] {
	if (!HTML.tagNames?.includes(tagName)) return [`<${tagName}>`];
	const alone = sanitize({ type: 'element', tagName, properties, children: [] }, { ...HTML, ancestors: {} });
	const kept = 'properties' in alone ? alone.properties : {};
	return Object.keys(properties)
		.filter((name) => !(name in kept))
		.map((name) =>
			name === 'href' || name === 'src'
				? `the address “${String(properties[name]).slice(0, 40)}” of <${tagName}>`
				: `${find(htmlSchema, name).attribute} of <${tagName}>`
		);
}

const SVG: Schema = {
	tagNames: ['svg', 'g', 'path', 'circle', 'ellipse', 'line', 'polyline', 'polygon', 'rect'],
	attributes: {
		'*': [
			...['d', 'cx', 'cy', 'r', 'rx', 'ry', 'x', 'y', 'x1', 'y1', 'x2', 'y2', 'points', 'width', 'height', 'transform'],
			...['fill', 'fillRule', 'clipRule', 'fillOpacity', 'opacity', 'stroke', 'strokeWidth', 'strokeLineCap'],
			...['strokeLineJoin', 'strokeMiterLimit', 'strokeOpacity', 'strokeDashArray', 'viewBox']
		]
	},
	strip: STRIPPED.filter((name) => name !== 'svg')
};
/** What an SVG element may carry to be drawn, on its root. */
const ROOT = ['viewBox', 'fill', 'stroke', 'strokeWidth', 'strokeLineCap', 'strokeLineJoin'];
const SHAPES = ['path', 'circle', 'ellipse', 'line', 'polyline', 'polygon', 'rect'];

/**
 * Cleans a drawing so that it only draws: shapes and how they are painted stay, anything that runs, links, animates or
 * loads goes. Throws an Error with a plain sentence when it is no SVG, or is too large.
 */
export function sanitizeSvg(svg: string): string {
	if (svg.length > 50_000) throw new Error('is larger than 50 KB; an icon is a few simple shapes');
	if (/<!ENTITY/i.test(svg)) throw new Error('declares entities, which an icon has no use for');
	const clean = sanitize(fromHtml(svg, { fragment: true }), SVG);
	const drawing =
		'children' in clean ? clean.children.find((one) => one.type === 'element' && one.tagName === 'svg') : undefined;
	if (drawing?.type !== 'element' || countShapes(drawing) === 0) throw new Error('is not an SVG drawing');
	const { viewBox } = drawing.properties;
	if (typeof viewBox !== 'string' || !/^[-\d. ,]+$/.test(viewBox))
		throw new Error('has no viewBox, so that it cannot be sized');
	dropReferences(drawing);
	drawing.properties = Object.fromEntries(Object.entries(drawing.properties).filter(([name]) => ROOT.includes(name)));
	return toHtml(drawing, { space: 'svg' });
}

function countShapes(node: Element): number {
	return node.children.reduce((sum, child) => {
		if (child.type !== 'element') return sum;
		return sum + (SHAPES.includes(child.tagName) ? 1 : 0) + countShapes(child);
	}, 0);
}

/** Takes away paint that is somewhere else. */
function dropReferences(node: Element): void {
	for (const [name, value] of Object.entries(node.properties)) {
		if (/url\s*\(|:/i.test(String(value))) delete node.properties[name];
	}
	for (const child of node.children) if (child.type === 'element') dropReferences(child);
}
