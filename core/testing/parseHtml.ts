import { parseFragment, type DefaultTreeAdapterTypes } from 'parse5';

/** HTML read back by an independent parser (parse5, the WHATWG algorithm): every element with its attributes. */
export function elementsOf(html: string): { name: string; attributes: Record<string, string> }[] {
	const found: { name: string; attributes: Record<string, string> }[] = [];
	const walk = (node: DefaultTreeAdapterTypes.ParentNode) => {
		for (const child of node.childNodes) {
			if (!('tagName' in child)) continue;
			found.push({
				name: child.tagName,
				attributes: Object.fromEntries(child.attrs.map((one) => [one.name, one.value]))
			});
			walk(child);
		}
	};
	walk(parseFragment(html));
	return found;
}

/** The text of HTML without its elements. */
export function textOf(html: string): string {
	const walk = (node: DefaultTreeAdapterTypes.Node): string =>
		'value' in node ? node.value : 'childNodes' in node ? node.childNodes.map(walk).join('') : '';
	return walk(parseFragment(html));
}

/** What in HTML could run, or lead to what runs. */
export function dangersIn(html: string): string[] {
	return elementsOf(html).flatMap(({ name, attributes }) => {
		const bad = Object.entries(attributes).filter(
			([key, value]) =>
				key.startsWith('on') ||
				key === 'style' ||
				(/^(href|src)$/.test(key) && /^\s*(javascript|data|vbscript):/i.test(value.replace(/[\s\p{Cc}]/gu, '')))
		);
		const known =
			/^(p|h[2-4]|ul|ol|li|strong|em|u|s|code|a|br|img|div|section|span|svg|path|circle|rect|line|polyline|h3)$/.test(
				name
			);
		return [...(known ? [] : [name]), ...bad.map(([key]) => `${name} ${key}`)];
	});
}
