import { isIsoDate, type CellFault } from '@anbau/core/catalog';
import type { ReviewColumn } from './columns.js';
import {
	BEST_RATING,
	isPicture,
	MOST_PICTURES,
	REVIEW_LIMITS,
	REVIEW_STATES,
	type Review,
	type ReviewState
} from './review.js';

/** A row of a file of reviews: texts from CSV, any JSON value from NDJSON. */
export type ReviewRow = Partial<Record<ReviewColumn, unknown>>;

export type ReviewReading = { ok: true; review: Review } | { ok: false; faults: CellFault[] };

/** What a row is read against. `now` is in milliseconds since the epoch; `idOf` names a review that brings no id. */
export interface ReviewRowContext {
	now: number;
	isProduct: (key: string) => boolean;
	idOf: (row: Omit<Review, 'id'>) => string;
}

/**
 * Reads one row. Every fault of it is listed; a row with any fault changes nothing. A rating is whole stars, a date
 * one that has been; a row that says no state is shown at once, because it was public elsewhere already.
 */
export function readReview(row: ReviewRow, { now, isProduct, idOf }: ReviewRowContext): ReviewReading {
	const faults: CellFault[] = [];
	const cell = (column: ReviewColumn) => written(row[column]).trim();
	const text = (column: ReviewColumn & keyof typeof REVIEW_LIMITS): string => {
		const value = cell(column);
		const limit = REVIEW_LIMITS[column];
		if (value.length > limit) fault(column, `has ${value.length} characters, at most ${limit} are kept`);
		return value;
	};
	const fault = (column: ReviewColumn, reason: string) => faults.push({ column, reason });
	const product = cell('product');
	if (product === '') fault('product', 'is empty; every review is of a product');
	else if (!isProduct(product)) fault('product', `“${shorten(product)}” is no product’s key`);
	const rating = readRating(cell('rating'), fault);
	const author = text('author');
	if (author === '') fault('author', 'is empty; every review has the name under which it is shown');
	const state = readState(cell('state'), fault);
	const reason = text('reason') || (state === 'hidden' ? 'Hidden where it comes from' : '');
	const review = {
		product,
		rating,
		title: text('title'),
		text: text('text'),
		author,
		date: readDate(cell('date'), now, fault),
		verified: readVerified(cell('verified'), fault),
		pictures: readPictures(row.pictures, fault),
		state,
		reason,
		reply: text('reply')
	};
	const id = text('id');
	return faults.length > 0 ? { ok: false, faults } : { ok: true, review: { id: id || idOf(review), ...review } };
}

type Fault = (column: ReviewColumn, reason: string) => void;

function readRating(cell: string, fault: Fault): number {
	const rating = Number(cell);
	if (!/^\d+$/.test(cell) || rating < 1 || rating > BEST_RATING)
		fault('rating', `“${shorten(cell)}” is not a whole number of stars from 1 to ${BEST_RATING}`);
	return rating;
}

function readDate(cell: string, now: number, fault: Fault): string {
	const parts = /^(\d{4}-\d{2}-\d{2})(?:[T ]\d{2}:\d{2}(?::\d{2}(?:\.\d{1,9})?)?(Z|[+-]\d{2}:?\d{2})?)?$/.exec(cell);
	const time = parts?.[1] && isIsoDate(parts[1]) ? Date.parse(instantOf(cell, parts[2])) : NaN;
	if (Number.isNaN(time)) fault('date', `“${shorten(cell)}” is not a date like 2026-05-31`);
	// A date without a time may be today's in a zone that is ahead.
	else if (time > now + 14 * 3_600_000) fault('date', `“${cell}” is in the future`);
	return Number.isNaN(time) ? '' : new Date(Math.min(time, now)).toISOString();
}

function instantOf(cell: string, zone: string | undefined): string {
	if (cell.length === 10) return `${cell}T00:00:00Z`;
	return cell.replace(' ', 'T') + (zone === undefined ? 'Z' : '');
}

function readVerified(cell: string, fault: Fault): boolean {
	const word = cell.toLowerCase();
	if (['true', 'yes', '1'].includes(word)) return true;
	if (!['', 'false', 'no', '0'].includes(word)) fault('verified', `“${shorten(cell)}” is neither yes nor no`);
	return false;
}

function readState(cell: string, fault: Fault): ReviewState {
	const word = cell.toLowerCase();
	const state = word === '' ? 'shown' : REVIEW_STATES.find((one) => one === word);
	if (!state) fault('state', `“${shorten(cell)}” is not one of ${REVIEW_STATES.join(', ')}`);
	return state ?? 'waiting';
}

function readPictures(value: unknown, fault: Fault): string[] {
	const list = Array.isArray(value) ? value.map(written) : written(value).split('|');
	const pictures = list.map((one) => one.trim()).filter((one) => one !== '');
	if (pictures.length > MOST_PICTURES)
		fault('pictures', `has ${pictures.length} pictures, at most ${MOST_PICTURES} are kept`);
	const wrong = pictures.find((one) => !isPicture(one));
	if (wrong !== undefined)
		fault('pictures', `“${shorten(wrong)}” is not an address that begins with http:// or https://`);
	return pictures;
}

function written(value: unknown): string {
	if (typeof value === 'string') return value.replaceAll('\0', '');
	return typeof value === 'number' || typeof value === 'boolean' ? String(value) : '';
}

const shorten = (text: string) => (text.length > 40 ? `${text.slice(0, 40)}…` : text);
