/** A token of the theme as the page has it now. */
export function token(name: string): string {
	return getComputedStyle(document.documentElement).getPropertyValue(name).trim();
}
