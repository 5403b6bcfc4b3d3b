import { weave } from '../weave/weave.js';
import { resolvedPage } from './livePage.js';

/** The largest page that is taken. */
export const MAX_WOVEN = 5 * 1024 * 1024;

/** A page's HTML with its pieces put in, and how the answer may be kept; null where there is no such store. */
export async function weavePage(
	storeKey: string,
	parameters: URLSearchParams,
	token: string | null,
	html: string,
	now: number
): Promise<{ html: string; cacheControl: string } | null> {
	const resolved = await resolvedPage(storeKey, parameters, token, now);
	if (!resolved) return null;
	const style = `${process.env.ORIGIN ?? ''}/live/v1/anbau.css`;
	return { html: weave(html, resolved.document, style), cacheControl: resolved.cacheControl };
}
