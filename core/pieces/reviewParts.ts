import {
	BEST_RATING,
	MOST_SENT,
	countOf,
	RATINGS,
	REVIEW_LIMITS,
	REVIEW_ORDERS,
	roundedMean,
	sharesOf,
	type Histogram,
	type ReviewOrder,
	type ShownReview
} from '@anbau/core/reviews';
import { element, escapeHtml } from './html.js';
import type { LiveContext } from './liveContext.js';
import { formatValue } from './liveFormat.js';
import { served } from './media.js';
import type { ReviewPage } from './reviews.js';
import { starsHtml } from './stars.js';

/** The average in large, the number of reviews, and how many there are of each rating. */
export function summaryHtml(histogram: Histogram, locale: string): string {
	const mean = roundedMean(histogram) ?? 0;
	const count = countOf(histogram);
	const figure = element('b', {}, mean.toLocaleString(locale, { minimumFractionDigits: 1 }));
	const words = element('span', {}, `${count.toLocaleString(locale)} ${count === 1 ? 'review' : 'reviews'}`);
	const rows = sharesOf(histogram).map(({ rating, count, share }) => {
		const bar =
			element('rect', { width: 100, height: 8 }) + element('rect', { width: Math.round(share * 1000) / 10, height: 8 });
		const label = `${rating} ${rating === 1 ? 'star' : 'stars'}`;
		return element(
			'li',
			{},
			element('span', {}, label) +
				element('svg', { viewBox: '0 0 100 8', preserveAspectRatio: 'none', 'aria-hidden': 'true' }, bar) +
				element('span', {}, count.toLocaleString(locale))
		);
	});
	const average = element('div', { class: 'anbau-average' }, figure + starsHtml(mean, locale) + words);
	return element('div', { class: 'anbau-distribution' }, average + element('ul', {}, rows.join('')));
}

const ORDER_WORDS: Record<ReviewOrder, string> = {
	newest: 'Newest first',
	oldest: 'Oldest first',
	best: 'Best first',
	worst: 'Worst first'
};

/** How a section is ordered and filtered; without the script there is nothing to choose, so it waits hidden. */
export function toolsHtml(order: ReviewOrder): string {
	const option = (value: string | number, words: string, selected: boolean) =>
		element('option', { value, selected: selected || null }, words);
	const orders = REVIEW_ORDERS.map((one) => option(one, ORDER_WORDS[one], one === order)).join('');
	const ratings = RATINGS.map((one) => option(one, `${one} ${one === 1 ? 'star' : 'stars'}`, false)).join('');
	return element(
		'form',
		{ class: 'anbau-review-tools', hidden: true },
		element('select', { name: 'order', 'aria-label': 'Order' }, orders) +
			element('select', { name: 'rating', 'aria-label': 'Rating' }, option('', 'All ratings', true) + ratings)
	);
}

/** What a review is written for: its language, and where uploads are. */
type Where = Pick<LiveContext, 'locale' | 'base'>;

/** Reviews one below the other, and what leads to the other pages. */
export function listHtml({ reviews, page, pages }: ReviewPage, where: Where): string {
	if (reviews.length === 0) return element('p', {}, 'No review has this rating.');
	const turn = (to: number, words: string) =>
		element('button', { type: 'button', 'data-anbau-page': to, disabled: to < 1 || to > pages || null }, words);
	const pager =
		pages < 2
			? ''
			: element(
					'p',
					{ class: 'anbau-pager' },
					turn(page - 1, 'Previous') + element('span', {}, `${page} of ${pages}`) + turn(page + 1, 'Next')
				);
	return reviews.map((one) => reviewHtml(one, where)).join('') + pager;
}

function dateOf(date: string, locale: string): string {
	const day = date.slice(0, 10);
	return element('time', { datetime: day }, escapeHtml(formatValue({ type: 'date', date: day }, locale)));
}

function paragraphs(text: string): string {
	const blocks = text.split(/\n{2,}/).filter((block) => block.trim() !== '');
	return blocks.map((block) => element('p', {}, escapeHtml(block.trim()).replace(/\n/g, '<br>'))).join('');
}

function reviewHtml(
	{ rating, title, text, author, date, verified, pictures, reply }: ShownReview,
	{ locale, base }: Where
): string {
	const by =
		element('span', {}, escapeHtml(author)) +
		dateOf(date, locale) +
		(verified ? element('span', { class: 'anbau-verified' }, 'Verified purchase') : '');
	const seen = pictures.map((address, i) => {
		const src = served(address, base);
		const img = element('img', { src, alt: `Picture ${i + 1} by ${author}`, loading: 'lazy' });
		return element('a', { href: src }, img);
	});
	return element(
		'article',
		{ class: 'anbau-review' },
		element('p', {}, starsHtml(rating, locale) + (title === '' ? '' : element('b', {}, escapeHtml(title)))) +
			paragraphs(text) +
			(seen.length > 0 ? element('p', { class: 'anbau-review-pictures' }, seen.join('')) : '') +
			element('p', { class: 'anbau-by' }, by) +
			(reply === ''
				? ''
				: element('div', { class: 'anbau-reply' }, element('b', {}, 'The store answers') + paragraphs(reply)))
	);
}

/** The longest quote, in characters. */
const MOST_QUOTED = 320;

/** A review as a quote; a long one is cut behind a word. */
export function quoteHtml({ rating, text, title, author, verified }: ShownReview, locale: string): string {
	const words = text || title;
	const cut = words.length <= MOST_QUOTED ? words : `${words.slice(0, MOST_QUOTED).replace(/\s+\S*$/, '')} …`;
	return element(
		'figure',
		{ class: 'anbau-quote' },
		element('blockquote', {}, starsHtml(rating, locale) + element('p', {}, escapeHtml(cut))) +
			element('figcaption', {}, escapeHtml(author) + (verified ? ', verified purchase' : ''))
	);
}

/** What the form sends beside what a customer writes. */
interface FormOf {
	action: string;
	product: string;
	pass: string;
	/** Tells apart the forms of several pieces. */
	id: string;
}

/** A form to write a review, behind a line that opens it. The script sends it; the server holds what comes. */
export function formHtml({ action, product, pass, id }: FormOf): string {
	const field = (words: string, control: string) => element('label', {}, element('span', {}, words) + control);
	const stars = RATINGS.map((rating) =>
		element(
			'label',
			{},
			element('input', { type: 'radio', name: 'rating', value: rating, required: true }) +
				element('span', {}, `${rating} ${rating === 1 ? 'star' : 'stars'}`)
		)
	);
	const { title, text, author } = REVIEW_LIMITS;
	const fields =
		element('fieldset', {}, element('legend', {}, `Your rating, ${BEST_RATING} is best`) + stars.join('')) +
		field('Headline', element('input', { name: 'title', maxlength: title })) +
		field('Review', element('textarea', { name: 'text', maxlength: text, rows: 5, required: true })) +
		field('Name that is shown', element('input', { name: 'author', maxlength: author, required: true })) +
		field(
			`Pictures, ${MOST_SENT} at most`,
			element('input', { type: 'file', name: 'pictures', accept: 'image/*', multiple: true })
		) +
		// Left empty by people, who do not see it.
		element(
			'p',
			{ class: 'anbau-website' },
			field('Website', element('input', { name: 'website', tabindex: -1, autocomplete: 'off' }))
		) +
		element('input', { type: 'hidden', name: 'product', value: product }) +
		element('input', { type: 'hidden', name: 'pass', value: pass });
	const end =
		element('p', {}, element('button', { class: 'anbau-button' }, 'Send review')) + element('p', { role: 'status' });
	return element(
		'details',
		{ class: 'anbau-write', id: `anbau-write-${id}` },
		element('summary', {}, 'Write a review') + element('form', { action, method: 'post' }, fields + end)
	);
}
