import type { Cheerio, CheerioAPI } from 'cheerio';
import type { Element } from 'domhandler';
import type { HookBinding } from '@anbau/core/placement';

/** The theme's markers of a page by the hook that they are of, found in one walk. */
export function markersIn($: CheerioAPI): (hook: string) => Cheerio<Element> {
	const found = new Map<string, Element[]>();
	for (const element of ($('[data-anbau-hook]') as Cheerio<Element>).toArray()) {
		const { 'data-anbau-hook': hook = '' } = element.attribs;
		found.set(hook, [...(found.get(hook) ?? []), element]);
	}
	return (hook) => $(found.get(hook) ?? []) as Cheerio<Element>;
}

/** What a selector finds in the theme's own part of a page; nothing where it cannot be read. */
export function foundBy($: CheerioAPI, selector: string): Cheerio<Element> {
	try {
		return ($(selector) as Cheerio<Element>).filter((_, element) => $(element).closest('.anbau').length === 0);
	} catch {
		return $([]) as unknown as Cheerio<Element>;
	}
}

/** The hooks of one page, found once each: by marker, by selector, by what they fall back to. */
export class HooksInPage {
	private readonly holders = new Map<string, Cheerio<Element> | null>();
	private readonly markers: (hook: string) => Cheerio<Element>;

	constructor(
		private readonly $: CheerioAPI,
		private readonly bindings: Readonly<Record<string, HookBinding>>
	) {
		this.markers = markersIn($);
	}

	/** The element that holds what hangs on a hook, made beside or in the bound element; null where there is none. */
	holder(hook: string, passed: readonly string[] = []): Cheerio<Element> | null {
		const known = this.holders.get(hook);
		if (known !== undefined) return known;
		const found = this.find(hook, passed);
		this.holders.set(hook, found);
		return found;
	}

	private find(hook: string, passed: readonly string[]): Cheerio<Element> | null {
		const marker = this.markers(hook).first();
		if (marker.length > 0) return marker;
		const { binding, fallback } = this.bindings[hook] ?? { binding: null, fallback: null };
		const element = binding ? foundBy(this.$, binding.selector).first() : null;
		if (binding && element && element.length > 0) return this.make(hook, element, binding.position);
		return fallback === null || passed.includes(fallback) ? null : this.holder(fallback, [...passed, hook]);
	}

	/** The element that a hook marks or is bound to itself, such as the container of the text. */
	container(hook: string): Cheerio<Element> | null {
		const marker = this.markers(hook).first();
		if (marker.length > 0) return marker;
		const { binding } = this.bindings[hook] ?? {};
		const element = binding ? foundBy(this.$, binding.selector).first() : null;
		return element && element.length > 0 ? element : null;
	}

	private make(hook: string, element: Cheerio<Element>, position: 'before' | 'after' | 'first' | 'last') {
		const made = this.$(`<div class="anbau-hook" data-anbau-made="${hook}"></div>`) as Cheerio<Element>;
		if (position === 'before') element.before(made);
		else if (position === 'after') element.after(made);
		else if (position === 'first') element.prepend(made);
		else element.append(made);
		return made;
	}
}
