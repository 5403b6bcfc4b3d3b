import { load, type CheerioAPI } from 'cheerio';
import { z } from 'zod';
import { PAGE_KINDS, type PageKind } from '@anbau/core/catalog';
import { formOf, HOOKS } from '@anbau/core/pieces';
import { database, transaction } from '../db/pool.js';
import { replaceSightings, type Sighting } from '../db/sightings.js';
import { allHooks } from '../db/theme.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { storeStates } from '../state/storeStates.js';
import { foundBy, markersIn } from '../weave/hooksInPage.js';
import { checkSelector } from '../weave/selector.js';
import { listHooks, type HookView } from './hooks.js';
import { samplePages, type SamplePage } from './samplePages.js';

const kindSchema = z.enum(PAGE_KINDS).catch('plain');

/** The kind of a page as the script's tag in it says; a page without the tag is a plain one. */
function kindOf($: CheerioAPI): PageKind {
	return kindSchema.parse($('script[data-store][data-page]').attr('data-page'));
}

/** Looks at sample pages of the shop as a guest and keeps what was seen of each hook. */
export async function lookForHooks(actor: Actor, signal: AbortSignal): Promise<HookView[]> {
	const pages = await samplesOf(actor, signal);
	const kept = await allHooks(database(), actor.storeId);
	const hooks = [
		...HOOKS.filter(({ id }) => formOf(id) !== 'edge').map(({ id, pages }) => ({ id, pages })),
		...kept.filter(({ pages }) => pages.length > 0)
	];
	const seen = pages.flatMap(({ url, html }): Omit<Sighting, 'seen'>[] => {
		const $ = load(html);
		const kind = kindOf($);
		const markersOf = markersIn($);
		const key = $('script[data-store][data-page]').attr('data-id') ?? '';
		return hooks
			.filter(({ pages }) => (pages as readonly PageKind[]).includes(kind))
			.map(({ id }) => {
				const markers = markersOf(id).length;
				const binding = kept.find((hook) => hook.id === id)?.binding;
				const found = markers > 0 || !binding ? markers : foundBy($, binding.selector).length;
				return { hook: id, url, key, kind, found, byMarker: markers > 0 };
			});
	});
	await transaction((client) => replaceSightings(client, actor.storeId, seen));
	return listHooks(actor);
}

export const trySchema = z.strictObject({ selector: z.string().trim().min(1, 'must not be empty').max(500) });

/** How many elements a selector finds on each sample page. */
export async function trySelector(
	actor: Actor,
	input: unknown,
	signal: AbortSignal
): Promise<{ url: string; kind: PageKind; found: number }[]> {
	const { selector } = readBy(trySchema, input, 'The selector');
	checkSelector(selector, '/selector');
	return (await samplesOf(actor, signal)).map(({ url, html }) => {
		const $ = load(html);
		return { url, kind: kindOf($), found: foundBy($, selector).length };
	});
}

async function samplesOf(actor: Actor, signal: AbortSignal): Promise<SamplePage[]> {
	const { store, catalog } = await storeStates.byId(actor.storeId, Date.now());
	const products = [...catalog.products].filter((product) => product.visible).flatMap(({ url }) => url ?? []);
	const pages = await samplePages(store.url, products, signal);
	if (pages.length === 0)
		throw new Problem('shop-away', 502, `No page of the shop ${store.url} can be read at the moment.`);
	return pages;
}
