import { distance } from 'fastest-levenshtein';
import { fold } from '@anbau/core/catalog';

/** In what two texts differ that are probably meant to be the same. */
export type NearMiss = 'spacing' | 'plural' | 'spelling';

/**
 * In what two different texts differ when one is probably a slip for the other: inner space, hyphens and
 * underscores; singular and plural; or one letter (two from eight letters on). Null when they are the same or far
 * apart. Case, outer space and Unicode form never make a difference. Digits count: `lead: 15` is no slip for
 * `lead: 10`.
 */
export function nearMiss(wanted: string, found: string): NearMiss | null {
	const a = fold(wanted);
	const b = fold(found);
	if (a === b) return null;
	const [bareA, bareB] = [withoutSpacing(a), withoutSpacing(b)];
	if (bareA === bareB) return 'spacing';
	if (singular(bareA) === singular(bareB)) return 'plural';
	if (digits(bareA) !== digits(bareB)) return null;
	const allowed = Math.min(bareA.length, bareB.length) >= 8 ? 2 : 1;
	if (Math.min(bareA.length, bareB.length) < 4 || Math.abs(bareA.length - bareB.length) > allowed) return null;
	return distance(bareA, bareB) <= allowed ? 'spelling' : null;
}

/** Like `nearMiss`, of a wanted beginning: it looks at as much of the found text as the beginning is long. */
export function nearMissPrefix(wanted: string, found: string): NearMiss | null {
	const a = fold(wanted);
	const b = fold(found);
	if (b.startsWith(a)) return null;
	const bare = withoutSpacing(a);
	const start = withoutSpacing(b);
	if (start.startsWith(bare)) return 'spacing';
	return nearMiss(bare, start.slice(0, bare.length)) === 'spelling' ? 'spelling' : null;
}

function withoutSpacing(text: string): string {
	return text.replace(/[\s\-_\u2010-\u2015]+/g, '');
}

function singular(text: string): string {
	if (text.length > 4 && text.endsWith('ies')) return `${text.slice(0, -3)}y`;
	if (text.length > 4 && /(s|x|z|ch|sh)es$/.test(text)) return text.slice(0, -2);
	return text.length > 3 && text.endsWith('s') && !text.endsWith('ss') ? text.slice(0, -1) : text;
}

function digits(text: string): string {
	return text.replace(/\D+/g, ' ').trim();
}
