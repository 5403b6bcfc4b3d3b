import type { Element, Root, RootContent } from 'hast';
import { fromHtml } from 'hast-util-from-html';
import { sanitize, type Schema } from 'hast-util-sanitize';
import { toHtml } from 'hast-util-to-html';

const MOST = 2 * 1024 * 1024;
const SHAPES = ['path', 'circle', 'ellipse', 'line', 'polyline', 'polygon', 'rect', 'text'];
const HOLDERS = ['svg', 'g', 'defs', 'symbol', 'clipPath', 'mask', 'pattern', 'linearGradient', 'radialGradient'];

/** What only draws (SVG 2): shapes, text, paint and clipping, with how they lie; nothing that runs, links or loads. */
const DRAWS: Schema = {
	tagNames: [...SHAPES, ...HOLDERS, 'stop', 'tspan', 'use', 'title', 'desc'],
	attributes: {
		use: ['href', 'xLinkHref'],
		'*': [
			...['id', 'd', 'cx', 'cy', 'r', 'rx', 'ry', 'x', 'y', 'x1', 'y1', 'x2', 'y2', 'dx', 'dy', 'fx', 'fy', 'points'],
			...['width', 'height', 'viewBox', 'preserveAspectRatio', 'transform', 'gradientTransform', 'patternTransform'],
			...['gradientUnits', 'patternUnits', 'clipPathUnits', 'maskUnits', 'spreadMethod', 'offset', 'stopColor'],
			...['stopOpacity', 'fill', 'fillRule', 'fillOpacity', 'clipRule', 'clipPath', 'mask', 'opacity', 'stroke'],
			...['strokeWidth', 'strokeLineCap', 'strokeLineJoin', 'strokeMiterLimit', 'strokeOpacity', 'strokeDashArray'],
			...['fontFamily', 'fontSize', 'fontWeight', 'textAnchor', 'letterSpacing', 'dominantBaseline']
		]
	},
	strip: ['script', 'style', 'foreignObject', 'iframe', 'object', 'embed', 'template'],
	// Ids are the drawing's own; it stands alone in its file.
	clobber: []
};

/**
 * Cleans a drawing so that it only draws, as a file of its own. Throws an Error with a plain sentence when it is no SVG,
 * is too large, or declares entities, which could unfold to any size.
 */
export function cleanSvgPicture(svg: string): string {
	if (svg.length > MOST) throw new Error('is larger than 2 MB; a drawing of this size is better saved as a picture');
	if (/<!ENTITY/i.test(svg)) throw new Error('declares entities, which a drawing has no use for');
	const clean = sanitize(fromHtml(svg, { fragment: true }), DRAWS) as Root;
	const drawing = clean.children.find(isSvg);
	if (!drawing || !draws(drawing)) throw new Error('draws nothing');
	dropReferences(drawing);
	drawing.properties.xmlns = 'http://www.w3.org/2000/svg';
	return toHtml(drawing, { space: 'svg', closeEmptyElements: true });
}

function isSvg(node: RootContent): node is Element {
	return node.type === 'element' && node.tagName === 'svg';
}

/** Whether a file's beginning is that of a drawing, by what stands before its first element. */
export function looksLikeSvg(beginning: string): boolean {
	const bare = beginning
		.replace(/^\uFEFF/, '')
		.replace(/<!--[\s\S]*?-->|<\?[\s\S]*?\?>|<!DOCTYPE[^>[]*(\[[\s\S]*?\])?\s*>/gi, '');
	return /^\s*<svg[\s>]/i.test(bare);
}

function draws(node: Element): boolean {
	return node.children.some((child) => child.type === 'element' && (SHAPES.includes(child.tagName) || draws(child)));
}

/** Paint and copies may come from the drawing itself, not from elsewhere. */
function dropReferences(node: Element): void {
	for (const [name, value] of Object.entries(node.properties)) {
		const text = String(value);
		const isLocal =
			name === 'href' || name === 'xLinkHref' ? /^#[\w-]+$/.test(text) : /^url\(["']?#[\w-]+["']?\)$/i.test(text);
		const refers = name === 'href' || name === 'xLinkHref' || /url\s*\(|:/i.test(text);
		if (refers && !isLocal) delete node.properties[name];
	}
	for (const child of node.children) if (child.type === 'element') dropReferences(child);
}
