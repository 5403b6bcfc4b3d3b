/** Finds the hooks of a page. */
export interface Finder {
	/** The element that a hook is, or that it is bound to; null where the page has none. */
	at(hook: string): Element | null;
	/** The element that holds what hangs on a hook. */
	holder(hook: string): Element | null;
	/** Takes out the holders that were made. */
	release(): void;
}

/** Finds hooks by the theme's own markers, and by the holders that a server made. */
export function byMarker(root: Document): Finder {
	const at = (hook: string) => root.querySelector(`[data-anbau-hook="${hook}"],[data-anbau-made="${hook}"]`);
	return { at, holder: at, release: () => undefined };
}
