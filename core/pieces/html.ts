const ENTITIES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };

/** A text as HTML: the five characters with a meaning in text or in a quoted attribute are escaped. */
export function escapeHtml(text: string): string {
	return /[&<>"']/.test(text) ? text.replace(/[&<>"']/g, (char) => ENTITIES[char] ?? char) : text;
}

/** Attributes of an element; null and undefined leave one out, true writes it without a value. */
export type Attributes = Record<string, string | number | true | null | undefined>;

const VOID = new Set(['img', 'br', 'hr', 'input', 'source', 'track']);

/** An element as HTML. Attribute values are escaped here; the content is HTML already. */
export function element(name: string, attributes: Attributes, content = ''): string {
	let html = `<${name}`;
	for (const key in attributes) {
		const value = attributes[key];
		if (value === null || value === undefined) continue;
		html += value === true ? ` ${key}` : ` ${key}="${escapeHtml(String(value))}"`;
	}
	return VOID.has(name) ? `${html}>` : `${html}>${content}</${name}>`;
}
