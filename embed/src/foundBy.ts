/** What a selector finds first in the theme's own part of a page; one that cannot be read finds nothing. */
export function foundBy(root: Document, selector: string): Element | undefined {
	try {
		return [...root.querySelectorAll(selector)].find((element) => !element.closest('.anbau'));
	} catch {
		return undefined;
	}
}
