import type { PageDocument } from '@anbau/core/placement';

/** The page as the script's tag names it. */
export interface PageOf {
	store: string;
	kind: string;
	id: string;
	visitor: string;
	campaign: string;
}

const TIMEOUT = 3000;

/** Fetches the page's document. Null when the server is away, slower than 3 s, or answers something else. */
export async function fetchDocument(base: string, page: PageOf): Promise<PageDocument | null> {
	const query = new URLSearchParams({ kind: page.kind, id: page.id });
	if (page.campaign) query.set('campaign', page.campaign);
	const abort = new AbortController();
	const timer = setTimeout(() => abort.abort(), TIMEOUT);
	try {
		const response = await fetch(`${base}${encodeURIComponent(page.store)}/page?${query.toString()}`, {
			credentials: 'omit',
			signal: abort.signal,
			headers: page.visitor ? { authorization: `Bearer ${page.visitor}` } : {}
		});
		const found: unknown = await response.json();
		return isDocument(found) ? found : null;
	} catch {
		return null;
	} finally {
		clearTimeout(timer);
	}
}

function isDocument(found: unknown): found is PageDocument {
	if (typeof found !== 'object' || found === null) return false;
	const { hooks, style, bindings, strip, ...lists } = found as Record<string, unknown>;
	const isRecord = (value: unknown) => typeof value === 'object' && value !== null;
	return (
		[hooks, style, bindings, strip].every(isRecord) &&
		Object.values(hooks as object).every(Array.isArray) &&
		['tabs', 'text', 'edges', 'houseParts'].every((name) => Array.isArray(lists[name]))
	);
}
