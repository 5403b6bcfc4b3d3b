import type { RequestHandler } from './$types';
import { Problem } from '$lib/server/problem.js';
import { storeStates } from '$lib/server/state/storeStates.js';
import { pageSnapshot } from '$lib/server/work/snapshot.js';

/**
 * A snapshot of a product's page in the shop, to be shown in a frame of the workbench. It is sandboxed: no scripts
 * but the preview's own, no origin, and nothing is sent anywhere.
 */
export const GET: RequestHandler = async ({ params, locals, url }) => {
	if (!locals.actor) return notice(401, 'Sign in to see the preview.');
	const { store, catalog } = await storeStates.byId(locals.actor.storeId, Date.now());
	const product = catalog.product(params.key);
	if (!product) return notice(404, 'This product is gone from the catalogue.');
	if (!product.url) {
		return notice(
			404,
			'This product has no address in the shop, so there is no page to show. The catalogue’s column “url” says where it is.'
		);
	}
	const own = `${url.origin}/live/v1`;
	try {
		const html = await pageSnapshot(product.url, store.url, {
			script: `${own}/anbau-preview.js`,
			style: `${own}/anbau.css`
		});
		return new Response(html, { headers: headers(`${own}/`) });
	} catch (error) {
		if (error instanceof Problem) return notice(error.status, error.message);
		throw error;
	}
};

function headers(scripts: string): Record<string, string> {
	return {
		'content-type': 'text/html; charset=utf-8',
		'cache-control': 'private, no-store',
		'content-security-policy': `sandbox allow-scripts; default-src 'none'; script-src ${scripts}; style-src * 'unsafe-inline'; img-src * data:; media-src *; font-src * data:; frame-ancestors 'self'`
	};
}

/** A page that says why there is no preview. */
function notice(status: number, message: string): Response {
	const text = message.replace(/[&<>"]/g, (char) => `&#${char.charCodeAt(0)};`);
	const body = `<!doctype html><meta charset="utf-8"><title>No preview</title><p style="font:15px/1.5 system-ui;margin:3rem;color:#5f685a">${text}</p>`;
	return new Response(body, { status, headers: headers(`'none'`) });
}
