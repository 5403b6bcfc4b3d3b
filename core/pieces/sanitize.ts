import sanitize from 'sanitize-html';

/** HTML without what could run or reach out of its place, and what was taken out of it, in words. */
export interface Sanitized {
	html: string;
	removed: string[];
}

const ELEMENTS = [
	...['a', 'abbr', 'b', 'blockquote', 'br', 'caption', 'cite', 'code', 'col', 'colgroup', 'dd', 'del', 'details'],
	...['dfn', 'div', 'dl', 'dt', 'em', 'figcaption', 'figure', 'h2', 'h3', 'h4', 'h5', 'h6', 'hr', 'i', 'img', 'ins'],
	...['kbd', 'li', 'mark', 'ol', 'p', 'pre', 'q', 's', 'samp', 'small', 'span', 'strong', 'sub', 'summary', 'sup'],
	...['table', 'tbody', 'td', 'tfoot', 'th', 'thead', 'time', 'tr', 'u', 'ul', 'var', 'wbr']
];

const OPTIONS: sanitize.IOptions = {
	allowedTags: ELEMENTS,
	allowedAttributes: {
		'*': ['title', 'lang', 'dir', 'class', 'aria-label', 'aria-hidden', 'role'],
		a: ['href', 'hreflang', 'download'],
		img: ['src', 'alt', 'width', 'height', 'loading'],
		td: ['colspan', 'rowspan', 'headers'],
		th: ['colspan', 'rowspan', 'scope', 'headers'],
		ol: ['start', 'reversed', 'type'],
		time: ['datetime'],
		details: ['open']
	},
	allowedSchemes: ['http', 'https', 'mailto', 'tel'],
	allowedSchemesAppliedToAttributes: ['href', 'src'],
	allowProtocolRelative: false,
	disallowedTagsMode: 'discard',
	nonTextTags: [
		'script',
		'style',
		'textarea',
		'option',
		'noscript',
		'template',
		'title',
		'iframe',
		'object',
		'svg',
		'math'
	],
	parseStyleAttributes: false
};

/**
 * Cleans HTML of others: only elements and attributes of a list stay (sanitize-html). What was taken out is said once
 * for each element and attribute. Cleaning what is clean changes nothing.
 */
export function sanitizeHtml(html: string): Sanitized {
	const clean = sanitize(html, OPTIONS);
	return { html: clean, removed: removedFrom(html, OPTIONS) };
}

/** What the list does not have, in the order in which it is met. */
function removedFrom(html: string, { allowedAttributes, allowedTags }: sanitize.IOptions): string[] {
	const removed = new Set<string>();
	const attributes = allowedAttributes as Record<string, string[]>;
	sanitize(html, {
		...OPTIONS,
		allowedTags: false,
		allowedAttributes: false,
		allowVulnerableTags: true,
		nonTextTags: [],
		onOpenTag: (name, attribs) => {
			if (Array.isArray(allowedTags) && !allowedTags.includes(name)) return void removed.add(`<${name}>`);
			for (const [attribute, value] of Object.entries(attribs)) {
				const isKnown = [...(attributes['*'] ?? []), ...(attributes[name] ?? [])].includes(attribute);
				if (!isKnown) removed.add(`${attribute} of <${name}>`);
				else if (
					/^(href|src)$/.test(attribute) &&
					sanitize(`<${name} ${attribute}="${value.replace(/"/g, '&quot;')}">`, OPTIONS).indexOf(attribute) < 0
				)
					removed.add(`the address “${value.slice(0, 40)}” of <${name}>`);
			}
		}
	});
	return [...removed];
}

const SHAPES = ['svg', 'g', 'path', 'circle', 'ellipse', 'line', 'polyline', 'polygon', 'rect', 'title'];
const DRAWN = [
	...['d', 'cx', 'cy', 'r', 'rx', 'ry', 'x', 'y', 'x1', 'y1', 'x2', 'y2', 'points', 'width', 'height', 'transform'],
	...['fill', 'fill-rule', 'clip-rule', 'fill-opacity', 'opacity', 'stroke', 'stroke-width', 'stroke-linecap'],
	...['stroke-linejoin', 'stroke-miterlimit', 'stroke-opacity', 'stroke-dasharray', 'viewBox']
];

/**
 * Cleans a drawing so that it only draws: shapes and how they are painted stay, anything that runs, links, animates or
 * loads goes. Throws an Error with a plain sentence when it is no SVG, or is too large.
 */
export function sanitizeSvg(svg: string): string {
	if (svg.length > 50_000) throw new Error('is larger than 50 KB; an icon is a few simple shapes');
	if (/<!ENTITY/i.test(svg)) throw new Error('declares entities, which an icon has no use for');
	const clean = sanitize(svg, {
		allowedTags: SHAPES,
		allowedAttributes: { '*': DRAWN },
		disallowedTagsMode: 'discard',
		nonTextTags: ['script', 'style', 'title', 'metadata', 'foreignObject', 'desc'],
		parser: { xmlMode: true, lowerCaseTags: false, lowerCaseAttributeNames: false },
		parseStyleAttributes: false,
		exclusiveFilter: ({ attribs }) => Object.values(attribs).some((value) => /url\s*\(|javascript:/i.test(value))
	}).trim();
	const drawing = /<svg[\s>][\s\S]*<\/svg>/.exec(clean)?.[0];
	if (!drawing || !/<(path|circle|ellipse|line|polyline|polygon|rect)\b/.test(drawing))
		throw new Error('is not an SVG drawing');
	if (!/^<svg[^>]*\sviewBox="[-\d. ,]+"/.test(drawing)) throw new Error('has no viewBox, so that it cannot be sized');
	return drawing.replace(/^<svg[^>]*?\sviewBox="([-\d. ,]+)"[^>]*>/, (open, box: string) => {
		const painted = [...open.matchAll(/\s(fill|stroke|stroke-width|stroke-linecap|stroke-linejoin)="[^"]*"/g)];
		return `<svg viewBox="${box}"${painted.map(([attribute]) => attribute).join('')}>`;
	});
}
