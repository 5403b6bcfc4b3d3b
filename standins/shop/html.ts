/** HTML that is finished; everything else is escaped where it goes into a template. */
export class Html {
	constructor(readonly text: string) {}
}

type Part = Html | Html[] | string | number | null;

/** A template whose values are escaped unless they are HTML already. */
export function html(strings: TemplateStringsArray, ...parts: Part[]): Html {
	let text = strings[0] ?? '';
	parts.forEach((part, i) => (text += render(part) + (strings[i + 1] ?? '')));
	return new Html(text);
}

/** HTML from a source that is trusted: the shop's own product texts. */
export function raw(text: string): Html {
	return new Html(text);
}

function render(part: Part): string {
	if (part === null) return '';
	if (part instanceof Html) return part.text;
	if (Array.isArray(part)) return part.map((one) => one.text).join('');
	return String(part).replace(/[&<>"']/g, (char) => `&#${char.charCodeAt(0)};`);
}
