import type { PageDocument } from '@anbau/core/placement';
import { fetchDocument, type PageOf } from './fetchDocument.js';
import { keepSpace, rememberSpace } from './heights.js';
import { warnOfPolicy } from './page.js';
import { clear, show, type Standing } from './storefront.js';

/**
 * The storefront's script. It finds the page's hooks, fetches one document and places the pieces; whatever goes
 * wrong, the page stays as the theme made it.
 */
function start(script: HTMLScriptElement): void {
	const base = new URL('.', script.src).href;
	warnOfPolicy(new URL(base).origin);
	const standing: Standing = {};
	// On a page that has been painted, space that is kept only moves what is seen already. The timeline stands still
	// until the first frame; an entry of the first paint would come only after the paint.
	let isEarly = !document.timeline.currentTime;
	let current: PageDocument | null = null;
	let asked = '';
	// The document is asked for at once, while the page is still being read.
	let answer = { id: JSON.stringify(pageOf(script)), found: fetchDocument(base, pageOf(script)) };
	const observer = new MutationObserver(oncePerFrame(() => guard(look, standing)));

	/** Sees whether the page became another one, or lost what was placed. */
	async function look(): Promise<void> {
		const page = pageOf(script);
		const id = JSON.stringify(page);
		// Heights depend on the width of the window.
		const name = `${page.kind} ${page.id} ${innerWidth}`;
		// While the page is still being read, a marker gets its space in the frame that first shows it.
		if (isEarly) keepSpace(name, standing);
		if (document.readyState === 'loading') return;
		isEarly = false;
		if (id === asked) {
			if (!current || !standing.placed?.isLost()) return;
		} else {
			asked = id;
			if (answer.id !== id) answer = { id, found: fetchDocument(base, page) };
			const found = await answer.found;
			if (id !== asked) return;
			current = found;
		}
		if (!current) return clear(standing);
		await show(base, current, standing);
		if (standing.placed) rememberSpace(name, current, standing.placed.finder);
		observer.takeRecords();
	}

	observer.observe(document.documentElement, { childList: true, subtree: true });
	observer.observe(script, { attributes: true });
	guard(look, standing);
	document.addEventListener('DOMContentLoaded', () => guard(look, standing));
	const [, token] = location.hash.split('#anbau-hooks=');
	if (token) guard(() => import(`${base}${script.dataset.store}/owner.js?token=${token}`));
}

/** Work that is done once in the next frame, however often it is asked for until then. */
function oncePerFrame(work: () => void): () => void {
	let frame = 0;
	return () => {
		frame ||= requestAnimationFrame(() => {
			frame = 0;
			work();
		});
	};
}

function pageOf({ dataset }: HTMLScriptElement): PageOf {
	return {
		store: dataset.store ?? '',
		kind: dataset.page ?? 'plain',
		id: dataset.id ?? '',
		visitor: dataset.visitor ?? '',
		campaign: new URLSearchParams(location.search).get('utm_campaign') ?? ''
	};
}

/** Runs work and keeps its failure out of the page: what stands there is taken away. */
function guard(work: () => Promise<unknown>, standing: Standing = {}): void {
	work().catch((error: unknown) => {
		clear(standing);
		console.warn('Anbau left the page as it is.', error);
	});
}

// However often the script is included, it runs once.
const RUNS = Symbol.for('anbau');
const own = document.currentScript;
if (own instanceof HTMLScriptElement && !(RUNS in window)) {
	Object.assign(window, { [RUNS]: true });
	guard(async () => start(own));
}
