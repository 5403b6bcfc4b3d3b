import { load } from 'cheerio';
import { fetchShopPage } from './shopPage.js';

/** A page of the shop as a guest gets it. */
export interface SamplePage {
	url: string;
	html: string;
}

/** How many pages of each part of the shop are looked at. */
const OF_EACH = 3;
const MAX_PAGES = 36;
const FEW_PARTS = 6;
const AT_ONCE = 4;

/**
 * A few pages of every kind: products from all over the catalogue, and of each part of the shop that its sitemap
 * (sitemaps.org) names the first, the middle and the last. Pages that cannot be read are left out.
 */
export async function samplePages(
	storeUrl: string,
	products: readonly string[],
	signal: AbortSignal
): Promise<SamplePage[]> {
	const mapped = await sitemapOf(storeUrl);
	const parts = partsOf(mapped);
	const chosen = [products, ...parts.values()].flatMap(spreadOver);
	const queue = [...new Set([storeUrl, ...chosen])].slice(0, MAX_PAGES);
	const pages: SamplePage[] = [];
	const work = async () => {
		for (let url = queue.shift(); url !== undefined && !signal.aborted; url = queue.shift()) {
			const html = await fetchShopPage(url, storeUrl).catch(() => null);
			if (html !== null) pages.push({ url, html });
		}
	};
	await Promise.all(Array.from({ length: AT_ONCE }, work));
	return pages.sort((a, b) => (a.url < b.url ? -1 : 1));
}

/** The pages of each part of a shop, by the first step of their path; a part of a few parts of its own is those. */
function partsOf(urls: readonly string[], depth = 1): Map<string, string[]> {
	const parts = new Map<string, string[]>();
	for (const url of urls) {
		const part = new URL(url).pathname
			.split('/')
			.slice(0, depth + 1)
			.join('/');
		parts.set(part, [...(parts.get(part) ?? []), url]);
	}
	if (depth > 1) return parts;
	return new Map(
		[...parts].flatMap(([part, own]) => {
			const inner = partsOf(own, depth + 1);
			return inner.size > 1 && inner.size <= FEW_PARTS ? [...inner] : [[part, own] as const];
		})
	);
}

function spreadOver(list: readonly string[]): string[] {
	if (list.length <= OF_EACH) return [...list];
	return Array.from({ length: OF_EACH }, (_, i) => list[Math.floor((i * (list.length - 1)) / (OF_EACH - 1))] ?? '');
}

async function sitemapOf(storeUrl: string): Promise<string[]> {
	const { origin } = new URL(storeUrl);
	const xml = await fetchShopPage(`${origin}/sitemap.xml`, storeUrl, 'xml').catch(() => '');
	const $ = load(xml, { xml: true });
	return $('url > loc')
		.toArray()
		.map((loc) => $(loc).text().trim())
		.filter((url) => URL.canParse(url) && new URL(url).origin === origin);
}
