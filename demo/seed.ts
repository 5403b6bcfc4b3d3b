import { HOUSE_TABS } from './houseTabs.js';
import { DEMO_PIECES } from './pieces.js';
import { catalogueCsv, demoProducts } from './products.js';

/** Fills an empty store with the demo, by the same API that anyone else uses. A store with a catalogue is left alone. */
const { ANBAU_URL = '', SHOP_URL = '', API_KEY = '' } = process.env;

async function call(method: string, path: string, body?: BodyInit, type = 'application/json'): Promise<unknown> {
	const headers: Record<string, string> = { authorization: `Bearer ${API_KEY}` };
	if (body !== undefined) headers['content-type'] = type;
	const response = await fetch(`${ANBAU_URL}/api/v1${path}`, {
		method,
		headers,
		...(body === undefined ? {} : { body })
	});
	const text = await response.text();
	if (!response.ok) throw new Error(`${method} ${path} answered ${response.status}: ${text}`);
	return text === '' ? null : JSON.parse(text);
}

interface Listed {
	total: number;
	products: { url: string | null }[];
}

const {
	total,
	products: [first]
} = (await call('GET', '/products?limit=1')) as Listed;
if (total === 0) {
	const done = (await call('PUT', '/catalog', catalogueCsv(demoProducts(), SHOP_URL), 'text/csv')) as {
		rejected: unknown[];
	};
	if (done.rejected.length > 0)
		throw new Error(`The demo's own catalogue has faults: ${JSON.stringify(done.rejected)}`);
	for (const { slug, ...tab } of HOUSE_TABS) await call('PUT', `/house-tabs/${slug}`, JSON.stringify(tab));
	for (const [slug, piece] of Object.entries(DEMO_PIECES)) await call('PUT', `/pieces/${slug}`, JSON.stringify(piece));
	await call('POST', '/publish', JSON.stringify({ note: 'The demo as it comes' }));
} else if (first?.url && !first.url.startsWith(SHOP_URL)) {
	// The shop moved to another port; its products' addresses follow.
	await call('PUT', '/catalog', catalogueCsv(demoProducts(), SHOP_URL), 'text/csv');
}
