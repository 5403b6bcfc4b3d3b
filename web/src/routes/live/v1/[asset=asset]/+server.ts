import { createHash } from 'node:crypto';
import script from '@anbau/embed/anbau.js?raw';
import style from '@anbau/embed/anbau.css?raw';
import openingScript from '@anbau/embed/anbau-opening.js?raw';
import partsScript from '@anbau/embed/anbau-parts.js?raw';
import previewScript from '@anbau/embed/anbau-preview.js?raw';
import themeScript from '@anbau/embed/anbau-theme.js?raw';
import tabsScript from '@anbau/embed/anbau-tabs.js?raw';
import valuesScript from '@anbau/embed/anbau-values.js?raw';
import type { RequestHandler } from './$types';

interface Asset {
	type: string;
	body: string;
	etag: string;
}

const SCRIPT = 'text/javascript; charset=utf-8';

/** What the storefront loads, as built. Caches keep a file for five minutes and then ask whether it changed. */
const ASSETS = new Map<string, Asset>(
	[
		['anbau.js', SCRIPT, script] as const,
		['anbau-tabs.js', SCRIPT, tabsScript] as const,
		['anbau-opening.js', SCRIPT, openingScript] as const,
		['anbau-values.js', SCRIPT, valuesScript] as const,
		['anbau-theme.js', SCRIPT, themeScript] as const,
		['anbau-parts.js', SCRIPT, partsScript] as const,
		['anbau-preview.js', SCRIPT, previewScript] as const,
		['anbau.css', 'text/css; charset=utf-8', style] as const
	].map(
		([name, type, body]) =>
			[name, { type, body, etag: `"${createHash('sha256').update(body).digest('base64url').slice(0, 27)}"` }] as const
	)
);

export const GET: RequestHandler = ({ params, request }) => {
	const asset = ASSETS.get(params.asset);
	if (!asset) return new Response('There is nothing at this address.', { status: 404 });
	const headers = {
		'content-type': asset.type,
		etag: asset.etag,
		'cache-control': 'public, max-age=300, stale-while-revalidate=86400',
		'access-control-allow-origin': '*',
		'cross-origin-resource-policy': 'cross-origin',
		'x-content-type-options': 'nosniff'
	};
	if (request.headers.get('if-none-match') === asset.etag) return new Response(null, { status: 304, headers });
	return new Response(asset.body, { headers });
};
