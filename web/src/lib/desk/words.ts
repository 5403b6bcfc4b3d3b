import type { AttributeType, PageKind } from '@anbau/core/catalog';
import type { MessageForm, PieceKind, PieceState, TextPlace, Tone } from '@anbau/core/pieces';

export const KIND_WORDS: Record<PieceKind, string> = {
	tab: 'Tab',
	accordion: 'Accordion',
	message: 'Message',
	media: 'Media',
	reviews: 'Reviews'
};
export const TONE_WORDS: Record<Tone, string> = { note: 'Note', tip: 'Tip', attention: 'Attention', urgent: 'Urgent' };

/** What a kind of page is called. */
export const PAGE_WORDS: Record<PageKind, string> = {
	product: 'Product page',
	category: 'Category page',
	article: 'Article',
	home: 'Home page',
	list: 'Product list',
	plain: 'Plain page'
};

export const MESSAGE_FORM_WORDS: Record<MessageForm, string> = {
	box: 'a box',
	bar: 'a bar across',
	line: 'a plain line',
	dialog: 'a dialog'
};

/** A count with its noun: `1 page`, `38 pages`. */
export function counted(count: number, one: string, several = `${one}s`): string {
	return `${new Intl.NumberFormat('en').format(count)} ${count === 1 ? one : several}`;
}

/** A place in a text: `below paragraph 5`, `above every 2nd heading`. */
export function textPlaceWords({ unit, side, n, every }: TextPlace): string {
	if (!every) return `${side} ${unit} ${n}`;
	return `${side} every ${n === 1 ? '' : `${ordinal(n)} `}${unit}`;
}

/** A piece's publication in the words that screens use. */
export function publicationWords({ publication }: PieceState): string {
	return publication === 'changed' ? 'differs from live' : publication;
}

/** An instant as the store's people write it. */
export function timeWords(instant: string, zone: string): string {
	return new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: zone }).format(
		new Date(instant)
	);
}

/** An ordinal for a place in an order: `first`, `2nd`. */
export function ordinal(position: number): string {
	if (position === 1) return 'first';
	const suffix = { one: 'st', two: 'nd', few: 'rd', other: 'th', zero: 'th', many: 'th' }[
		new Intl.PluralRules('en', { type: 'ordinal' }).select(position)
	];
	return `${position}${suffix}`;
}

export const ATTRIBUTE_TYPE_WORDS: Record<AttributeType, string> = {
	text: 'Text',
	longText: 'Long text',
	richText: 'Rich text',
	number: 'Number',
	flag: 'Yes or no',
	date: 'Date',
	choice: 'Choice',
	list: 'List',
	documents: 'Documents',
	link: 'Link',
	media: 'Media',
	embed: 'Embed',
	products: 'Products'
};
