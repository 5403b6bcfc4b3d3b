import { fold } from '@anbau/core/catalog';
import {
	CatalogIndex,
	goneNames,
	meantTags,
	reach,
	reachByCategory,
	type Bitset,
	type PackedCatalog,
	type Rule
} from '@anbau/core/rules';
import type { Answer, Ask, Found, QuestionName } from './protocol.js';

/** Answers questions about a catalogue from its index; runs in the web worker. */
export class CatalogAnswers {
	private last: { id: string; set: Bitset } | null = null;

	constructor(
		private readonly index: CatalogIndex,
		private readonly limit = 8
	) {}

	static of(packed: PackedCatalog): CatalogAnswers {
		return new CatalogAnswers(new CatalogIndex(packed));
	}

	readonly handlers: { [Name in Exclude<QuestionName, 'load'>]: (ask: Ask<Name>) => Answer<Name> } = {
		reach: ({ rule, now }) => {
			const set = this.reached(rule, now);
			return {
				total: this.index.size,
				matched: set.count(),
				byCategory: reachByCategory(set, this.index),
				gone: goneNames(rule, this.index),
				meant: meantTags(rule, this.index, set)
			};
		},
		leaf: ({ rule, now, shown, position, near }) => {
			const reached = this.reached(rule, now);
			const ids = [...(shown ? reached : reached.clone().not())];
			if (ids.length === 0) return null;
			const nearId = near === null ? undefined : this.index.id(near);
			const at = nearId === undefined ? -1 : ids.indexOf(nearId);
			const place = at >= 0 ? at : ((position % ids.length) + ids.length) % ids.length;
			const id = ids[place] ?? 0;
			return { ...this.named(id), position: place, count: ids.length };
		},
		search: ({ text, fields }) => fields.flatMap((field) => this.search(field, fold(text))),
		names: ({ products }) => ({
			products: Object.fromEntries(
				products.flatMap((key) => {
					const id = this.index.id(key);
					return id === undefined ? [] : [[key, this.named(id).title] as const];
				})
			),
			categories: Object.fromEntries(this.index.packed.categories.map(({ key, title }) => [key, title]))
		}),
		beginnings: () => this.beginnings()
	};

	private reached(rule: Rule, now: number): Bitset {
		const id = `${now} ${JSON.stringify(rule)}`;
		if (this.last?.id !== id) this.last = { id, set: reach(rule, this.index, now) };
		return this.last.set;
	}

	private named(id: number): { key: string; title: string } {
		const { keys, titles } = this.index.packed;
		return { key: keys[id] ?? '', title: titles[id] ?? '' };
	}

	private search(field: Found['field'], wanted: string): Found[] {
		const { packed, tags, brands, categoryIn } = this.index;
		const found: Found[] = [];
		const meets = (label: string) => fold(label).includes(wanted);
		if (field === 'tag' || field === 'brand') {
			const [postings, spelled] = field === 'tag' ? [tags, packed.spelled.tags] : [brands, packed.spelled.brands];
			for (const term of postings.terms) {
				if (!term.includes(wanted)) continue;
				const label = spelled[term] ?? term;
				found.push({ field, value: label, label, products: postings.count(term) });
			}
		} else if (field === 'category') {
			for (const { key, title } of packed.categories) {
				if (meets(title)) found.push({ field, value: key, label: title, products: categoryIn.count(key) });
			}
		} else {
			for (let id = 0; id < packed.keys.length && found.length < 200; id++) {
				const { key, title } = this.named(id);
				if (meets(title) || meets(key)) found.push({ field, value: key, label: title, products: 1 });
			}
		}
		return found.sort((a, b) => rank(a, wanted) - rank(b, wanted) || b.products - a.products).slice(0, this.limit);
	}

	private beginnings(): { beginning: string; products: number }[] {
		const counts = new Map<string, { beginning: string; products: number }>();
		for (const term of this.index.tags.terms) {
			const colon = term.indexOf(':');
			if (colon <= 0) continue;
			const beginning = (this.index.packed.spelled.tags[term] ?? term).slice(0, colon).trim();
			const known = counts.get(fold(beginning)) ?? { beginning, products: 0 };
			known.products += this.index.tags.count(term);
			counts.set(fold(beginning), known);
		}
		return [...counts.values()].sort((a, b) => b.products - a.products).slice(0, 50);
	}
}

/** What begins with the wanted text comes before what only contains it. */
function rank(found: Found, wanted: string): number {
	return fold(found.label).startsWith(wanted) ? 0 : 1;
}
