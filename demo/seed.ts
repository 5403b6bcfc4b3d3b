import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { DEMO_ATTRIBUTES, DEMO_SEASONS, DEMO_VALUES } from './attributes.js';
import { DEMO_DOCUMENTS } from './documents.js';
import { HOUSE_TABS } from './houseTabs.js';
import { DEMO_PIECES } from './pieces.js';
import { demoReviews } from './reviews.js';
import { DEMO_EXCEPTIONS } from './placed.js';
import { catalogueCsv, demoProducts } from './products.js';
import { DEMO_BINDINGS, DEMO_FALLBACKS, DEMO_PARTS } from './theme.js';

/** Fills an empty store with the demo, by the same API that anyone else uses. A store with a catalogue is left alone. */
const { ANBAU_URL = '', SHOP_URL = '', MEDIA_URL = '', API_KEY = '' } = process.env;

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
const send = (method: string, path: string, body: unknown) => call(method, path, JSON.stringify(body));

const FEED = { url: `${SHOP_URL}/export/catalog.csv`, minutes: 60 };
const SETTINGS = {
	delivery: {
		cutOff: '14:00',
		days: [1, 2, 3, 4, 5],
		holidays: ['2026-12-24', '2026-12-25', '2027-01-01', '2027-03-26', '2027-03-29'],
		leadDays: 2,
		leadTag: 'lead'
	},
	ageLimitHours: 48,
	frameHosts: [new URL(MEDIA_URL).host],
	providers: [
		{ name: 'Mossgate Pictures', schemes: [`${MEDIA_URL}/watch/*`], endpoint: `${MEDIA_URL}/oembed` },
		{
			name: 'Mossgate Members',
			schemes: [`${MEDIA_URL}/members/*`],
			endpoint: `${MEDIA_URL}/members/oembed`,
			keyName: 'access_key'
		}
	]
};

async function importCatalogue(): Promise<void> {
	const csv = catalogueCsv(demoProducts(), SHOP_URL);
	const done = (await call('PUT', '/catalog', csv, 'text/csv')) as { rejected: unknown[] };
	if (done.rejected.length > 0)
		throw new Error(`The demo's own catalogue has faults: ${JSON.stringify(done.rejected)}`);
}

/** Uploads the documents; answers the address of each by its name. */
async function uploadDocuments(): Promise<Record<string, string>> {
	const addresses: Record<string, string> = {};
	for (const [slug, { name, content }] of Object.entries(DEMO_DOCUMENTS)) {
		const file = (await call('POST', `/files?name=${name}`, new Uint8Array(content), 'application/octet-stream')) as {
			address: string;
		};
		addresses[slug] = file.address;
	}
	return addresses;
}

interface Uploaded {
	sha256: string;
	address: string;
}

async function upload(file: string): Promise<Uploaded> {
	const bytes = new Uint8Array(readFileSync(join(import.meta.dirname, 'films', file)));
	return (await call('POST', `/media?name=${file}`, bytes, 'application/octet-stream')) as Uploaded;
}

/** Uploads the films with their still pictures and captions; answers the address of each by its name. */
async function uploadFilms(): Promise<Record<string, string>> {
	const addresses: Record<string, string> = {};
	for (const name of ['assembly', 'planting', 'sowing']) {
		const [film, still] = [await upload(`${name}.mp4`), await upload(`${name}.jpg`)];
		const captions = name === 'assembly' ? (await upload('assembly.vtt')).address : '';
		await send('PATCH', `/media/${film.sha256}`, { poster: still.address, captions });
		Object.assign(addresses, {
			[`film:${name}`]: film.address,
			[`still:${name}`]: still.address,
			[`captions:${name}`]: captions,
			[`${name}_film`]: film.address
		});
	}
	// The map's still picture comes from its host, and lies on the own shelf then.
	const map = (await send('POST', '/media/links', { url: `${MEDIA_URL}/watch/nursery` })) as { still: string };
	return { ...addresses, 'still:nursery': map.still };
}

/** Puts addresses in the place of the names that the demo's texts have for them. */
function filled(value: unknown, addresses: Record<string, string>): unknown {
	const text = JSON.stringify(value).replaceAll('{host}', MEDIA_URL);
	return JSON.parse(text.replace(/\{((?:film|still|captions):\w+)\}/g, (_, name: string) => addresses[name] ?? ''));
}

async function importReviews(): Promise<void> {
	const lines = demoReviews(Date.now()).map((review) => JSON.stringify(review));
	const done = (await call('PUT', '/reviews', lines.join('\n'), 'application/x-ndjson')) as { rejected: unknown[] };
	if (done.rejected.length > 0) throw new Error(`The demo's own reviews have faults: ${JSON.stringify(done.rejected)}`);
}

async function fillSheet(addresses: Record<string, string>): Promise<void> {
	const withFiles = (text: string) => text.replace(/\{(\w+)\}/g, (_, slug: string) => addresses[slug] ?? '');
	const products = DEMO_VALUES.map(([key, code, value]) => ({ key, code, value: withFiles(value) }));
	const categories = DEMO_SEASONS.map(([key, value]) => ({ key, code: 'season', value }));
	for (const [of, changes] of Object.entries({ product: products, category: categories })) {
		const { rejected } = (await send('PATCH', '/sheet', { of, changes })) as { rejected: unknown[] };
		if (rejected.length > 0) throw new Error(`The demo's own values have faults: ${JSON.stringify(rejected)}`);
	}
}

/** Binds the hooks to the second theme and moves a part that both themes have. */
async function bindTheme(): Promise<void> {
	for (const [id, [selector, position]] of Object.entries(DEMO_BINDINGS))
		await send('PUT', `/hooks/${id}`, { binding: { selector, position } });
	for (const [id, fallback] of Object.entries(DEMO_FALLBACKS)) await send('PUT', `/hooks/${id}`, { fallback });
	for (const [slug, part] of Object.entries(DEMO_PARTS)) await send('PUT', `/house-parts/${slug}`, part);
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
	for (const [code, definition] of Object.entries(DEMO_ATTRIBUTES))
		await send('PUT', `/attributes/${code}`, definition);
	await importCatalogue();
	await send('PATCH', '/store', { settings: SETTINGS });
	const films = await uploadFilms();
	await fillSheet({ ...(await uploadDocuments()), ...films });
	await importReviews();
	await send('PUT', '/feed', FEED);
	for (const { slug, ...tab } of HOUSE_TABS) await send('PUT', `/house-tabs/${slug}`, tab);
	await bindTheme();
	for (const [slug, piece] of Object.entries(DEMO_PIECES)) await send('PUT', `/pieces/${slug}`, filled(piece, films));
	for (const exception of DEMO_EXCEPTIONS) await send('POST', '/exceptions', exception);
	await send('POST', '/publish', { note: 'The demo as it comes' });
} else if (first?.url && !first.url.startsWith(SHOP_URL)) {
	// The shop moved to another port; its products' addresses and its feed follow.
	await importCatalogue();
	await send('PUT', '/feed', FEED);
}
