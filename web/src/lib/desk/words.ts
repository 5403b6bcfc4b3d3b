import type { PieceKind, PieceState, Tone } from '@anbau/core/pieces';

export const KIND_WORDS: Record<PieceKind, string> = { tab: 'Tab', message: 'Message' };
export const TONE_WORDS: Record<Tone, string> = { note: 'Note', tip: 'Tip', attention: 'Attention', urgent: 'Urgent' };

/** A count with its noun: `1 page`, `38 pages`. */
export function counted(count: number, one: string, several = `${one}s`): string {
	return `${new Intl.NumberFormat('en').format(count)} ${count === 1 ? one : several}`;
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
