import { fold } from '@anbau/core/catalog';

/** The columns of a file of reviews, in their documented order. */
export const REVIEW_COLUMNS = [
	'id',
	'product',
	'rating',
	'title',
	'text',
	'author',
	'date',
	'verified',
	'pictures',
	'state',
	'reason',
	'reply'
] as const;
export type ReviewColumn = (typeof REVIEW_COLUMNS)[number];

/** What every row must have. */
export const NEEDED_COLUMNS: readonly ReviewColumn[] = ['product', 'rating', 'author', 'date'];

/** What other programs call the columns; common practice, no source. */
const ALSO: Record<ReviewColumn, readonly string[]> = {
	id: ['review id', 'reference', 'uid'],
	product: ['product key', 'key', 'product id', 'handle', 'item'],
	rating: ['stars', 'score', 'rate', 'points'],
	title: ['heading', 'subject', 'headline', 'review title'],
	text: ['review', 'body', 'comment', 'content', 'message', 'review text'],
	author: ['name', 'customer', 'reviewer', 'display name', 'by', 'nickname', 'customer name'],
	date: ['created', 'created at', 'submitted', 'reviewed on', 'day', 'published'],
	verified: ['verified purchase', 'verified buyer', 'purchase', 'is verified'],
	pictures: ['images', 'photos', 'picture'],
	state: ['status', 'published state'],
	reason: ['hidden because', 'hidden reason'],
	reply: ['answer', 'response', 'store reply', 'our reply']
};

/** Which column of a file is which of ours; null for one that is left out. */
export type ColumnMatch = (ReviewColumn | null)[];

/** Matches a file's header by name, whatever its case, spaces, hyphens and underscores; each of ours once. */
export function matchColumns(header: readonly string[]): ColumnMatch {
	const named = header.map((cell) => plain(cell));
	const taken = new Map<number, ReviewColumn>();
	// A name of our own comes before what others call it.
	for (const names of [(column: ReviewColumn) => [column as string], (column: ReviewColumn) => ALSO[column]])
		for (const column of REVIEW_COLUMNS) {
			if ([...taken.values()].includes(column)) continue;
			const wanted = names(column).map(plain);
			const at = named.findIndex((name, i) => !taken.has(i) && wanted.includes(name));
			if (at >= 0) taken.set(at, column);
		}
	return header.map((_, i) => taken.get(i) ?? null);
}

const plain = (name: string) => fold(name).replace(/[\s_-]+/g, '');

/** The columns that a match lacks and that every row must have. */
export function lackingColumns(match: ColumnMatch): ReviewColumn[] {
	return NEEDED_COLUMNS.filter((column) => !match.includes(column));
}
