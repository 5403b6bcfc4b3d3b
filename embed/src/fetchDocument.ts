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
export async function fetchDocument(
	base: string,
	{ store, kind, id, visitor, campaign }: PageOf
): Promise<PageDocument | null> {
	const query = new URLSearchParams({ kind, id, campaign });
	try {
		const response = await fetch(`${base}${store}/page?${query}`, {
			credentials: 'omit',
			signal: AbortSignal.timeout(TIMEOUT),
			headers: visitor ? { authorization: `Bearer ${visitor}` } : {}
		});
		const found: unknown = await response.json();
		return isDocument(found) ? found : null;
	} catch {
		return null;
	}
}

/** Whether an answer has the lists that a page is made of; what is missing altogether throws, which is caught above. */
function isDocument(found: unknown): found is PageDocument {
	const { hooks, tabs, text, edges, houseParts } = found as PageDocument;
	return [tabs, text, edges, houseParts, ...Object.values(hooks)].every(Array.isArray);
}
