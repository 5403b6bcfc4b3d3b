import type { HookBinding } from '@anbau/core/placement';
import { byBinding } from '../bound.js';
import { Drawing, type DrawnHook } from './drawing.js';
import { pick } from './picking.js';
import { ownerStyle } from './style.js';

/** What the owner's mode is told: the hooks of this kind of page as they are drafted, and where the desk is. */
interface Told {
	desk: string;
	hooks: { id: string; title: string; pieces: number; binding: HookBinding['binding']; fallback: string | null }[];
	/** Other pages of the same kind, on which a picked selector is tried. */
	samples: string[];
}

/**
 * Draws the hooks into the shop's own page for its owner, who came by a signed link: names to copy, pieces to hang, new
 * pieces, and any element to be made a hook. Shoppers never get this code.
 */
async function start(): Promise<void> {
	const address = new URL(import.meta.url);
	const script = document.querySelector<HTMLScriptElement>('script[data-store][data-page]');
	const { page = 'plain', id = '' } = script?.dataset ?? {};
	const query = new URLSearchParams({ token: address.searchParams.get('token') ?? '', kind: page });
	const response = await fetch(new URL(`hooks?${query}`, address), { credentials: 'omit' });
	if (!response.ok) throw new Error(`Anbau cannot show the hooks (${response.status}); the link may be too old.`);
	const told = (await response.json()) as Told;
	if (document.readyState === 'loading')
		await new Promise((ready) => document.addEventListener('DOMContentLoaded', ready));
	const about = new URLSearchParams({ kind: page, id });

	const host = document.createElement('div');
	host.className = 'anbau';
	const root = host.attachShadow({ mode: 'open' });
	root.adoptedStyleSheets = [ownerStyle()];
	document.body.append(host);

	const finder = byBinding(document, Object.fromEntries(told.hooks.map((hook) => [hook.id, hook])));
	const found = told.hooks.flatMap((hook): DrawnHook[] => {
		const element = finder.holder(hook.id);
		return element ? [{ ...hook, element }] : [];
	});
	const link = (path: string, more: Record<string, string>) => {
		const parameters = new URLSearchParams([...about, ...Object.entries(more)]);
		return `${told.desk}${path}?${parameters}`;
	};
	const drawing = new Drawing(root, found, {
		hang: (hook) => link('/plan', { hook }),
		make: (hook) => link('/plan', { hook, make: 'yes' })
	});
	const bar = drawing.bar(`${found.length} of ${told.hooks.length} hooks are on this page`);
	bar.button('Make an element a hook', async () => {
		drawing.hide(true);
		const selector = await pick(root, host, told.samples);
		drawing.hide(false);
		if (selector) open(link('/hooks', { selector }), '_blank', 'noopener');
	});
	bar.button('Leave', () => {
		history.replaceState(null, '', location.pathname + location.search);
		drawing.end();
		finder.release();
		host.remove();
	});
	carryOn();
}

/** Links of the shop lead on in the owner's mode. */
function carryOn(): void {
	const { hash } = location;
	document.addEventListener('click', ({ target }) => {
		const link = target instanceof Element ? target.closest('a') : null;
		if (link && link.origin === location.origin && link.hash === '') link.hash = hash;
	});
}

start().catch((error: unknown) => console.warn(error instanceof Error ? error.message : error));
