import { finder } from '@medv/finder';
import { make } from './drawing.js';

/** Lets the owner click any element; answers a short selector for it, null when Esc is pressed instead. */
export function pick(root: ShadowRoot, host: Element, samples: readonly string[]): Promise<string | null> {
	const outline = make('div', 'outline');
	const bar = make('div', 'bar', 'Click what is to become a hook. Esc steps back.');
	root.append(outline, bar);
	return new Promise((resolve) => {
		const abort = new AbortController();
		const listen = <Name extends keyof DocumentEventMap>(name: Name, work: (event: DocumentEventMap[Name]) => void) =>
			document.addEventListener(name, work, { capture: true, signal: abort.signal });
		const end = (selector: string | null) => {
			abort.abort();
			outline.remove();
			bar.remove();
			resolve(selector);
		};
		listen('pointermove', ({ target }) => {
			if (!(target instanceof Element) || target === host) return;
			const { left, top, width, height } = target.getBoundingClientRect();
			Object.assign(outline.style, {
				left: `${left}px`,
				top: `${top}px`,
				width: `${width}px`,
				height: `${height}px`
			});
		});
		listen('keydown', (event) => {
			if (event.key === 'Escape') end(null);
		});
		listen('click', (event) => {
			event.preventDefault();
			event.stopPropagation();
			const { target } = event;
			if (!(target instanceof Element) || target === host) return;
			bar.textContent = 'Trying it on other pages …';
			bestSelector(target, samples).then(end, () => end(null));
		});
	});
}

/** How selectors are looked for, the steadiest first: by names of classes and tags, by ids, by whatever there is. */
const WAYS: Parameters<typeof finder>[1][] = [
	{ idName: () => false, className: isSteady, attr: () => false },
	{ idName: isSteady, className: isSteady, attr: () => false },
	{ idName: () => false, className: isSteady, attr: (name) => /^(role|data-|aria-label|name|type)/.test(name) },
	{}
];

/** A name that looks as if the theme gave it, not a product or a build. */
function isSteady(name: string): boolean {
	return !/\d/.test(name) && !name.startsWith('anbau') && name.length < 30;
}

/** Of the selectors for an element the one that finds exactly one on most of the sample pages; the shorter of equals. */
async function bestSelector(element: Element, samples: readonly string[]): Promise<string> {
	const candidates = [...new Set(WAYS.map((way) => finder(element, way)))];
	const pages = (await Promise.all(samples.map(pageAt))).filter((page) => page !== null);
	const scored = candidates.map((selector) => ({
		selector,
		score: pages.filter((page) => page.querySelectorAll(selector).length === 1).length
	}));
	scored.sort((a, b) => b.score - a.score || a.selector.length - b.selector.length);
	return scored[0]?.selector ?? finder(element);
}

async function pageAt(url: string): Promise<Document | null> {
	try {
		return new DOMParser().parseFromString(await (await fetch(url)).text(), 'text/html');
	} catch {
		// A page that cannot be read tells nothing.
		return null;
	}
}
