import { z } from 'zod';
import { countOf, roundedMean, structuredData, type ProductReviews, type ShownReview } from '@anbau/core/reviews';
import { element } from './html.js';
import type { LiveContext } from './liveContext.js';
import { formHtml, listHtml, quoteHtml, summaryHtml, toolsHtml } from './reviewParts.js';
import { starsHtml } from './stars.js';

/** The finished forms in which reviews show: a line of stars, a summary, a whole section, or quotes. */
export const REVIEW_FORMS = ['stars', 'summary', 'section', 'quotes'] as const;
export type ReviewForm = (typeof REVIEW_FORMS)[number];

/** How many reviews a widget has at hand of each order; no page of a section is longer. */
export const MOST_PER_PAGE = 20;

const whole = (least: number, most: number) => z.number().int('must be a whole number').min(least).max(most);

/** What the owner chooses of a widget; each form looks at what concerns it. */
export const reviewSettings = z.strictObject({
	form: z.enum(REVIEW_FORMS).default('section'),
	/** What stands there where a product has no review: nothing, or a word to be the first. */
	none: z.enum(['quiet', 'invite']).default('quiet'),
	/** Whether a line of stars says how many reviews there are, and leads to the section. */
	count: z.boolean().default(true),
	/** Which come first in a section. */
	order: z.enum(['newest', 'best']).default('newest'),
	perPage: whole(1, MOST_PER_PAGE).default(5),
	/** Whether a section has a form to write a review. */
	write: z.boolean().default(true),
	/** How many quotes, of how many stars at least, and which by hand before any other. */
	quotes: whole(1, 12).default(3),
	least: whole(1, 5).default(4),
	chosen: z.array(z.string().min(1).max(100)).max(12, 'has more than 12 reviews').default([])
});
export type ReviewSettings = z.infer<typeof reviewSettings>;

export const NEW_REVIEWS: ReviewSettings = reviewSettings.parse({});

/** The id that a section has on its page; a line of stars leads there. */
export const SECTION_ID = 'anbau-reviews';

/** Renders a widget for a page's product; empty where there is nothing to show. */
export function renderReviews(slug: string, settings: ReviewSettings, context: LiveContext): string {
	if (settings.form === 'quotes') return quotes(settings, context);
	const { product, reviews } = context;
	if (!product) return '';
	const known = reviews.of(product.key);
	if (!known || countOf(known.histogram) === 0) return noReviews(slug, settings, context);
	switch (settings.form) {
		case 'stars':
			return starLine(known, settings, context) + data(context, known, []);
		case 'summary':
			return box('summary', summaryHtml(known.histogram, context.locale)) + data(context, known, []);
		case 'section':
			return section(slug, known, settings, context);
	}
}

/** The first page of a section, or another one that was asked for. */
export interface ReviewPage {
	reviews: readonly ShownReview[];
	page: number;
	pages: number;
}

/** A page of reviews with what leads to the others; the structured data says what is seen of them. */
export function renderReviewPage(shown: ReviewPage, context: LiveContext): string {
	const known = context.product && context.reviews.of(context.product.key);
	return listHtml(shown, context) + data(context, known ?? null, shown.reviews);
}

function section(slug: string, known: ProductReviews, settings: ReviewSettings, context: LiveContext): string {
	const { perPage, order } = settings;
	const reviews = known[order].slice(0, perPage);
	const pages = Math.ceil(countOf(known.histogram) / perPage);
	const list = element(
		'div',
		{ 'data-anbau-list': true, 'aria-live': 'polite' },
		renderReviewPage({ reviews, page: 1, pages }, context)
	);
	const inner =
		summaryHtml(known.histogram, context.locale) + toolsHtml(order) + list + writing(slug, settings, context);
	return sectionHtml(slug, inner, context);
}

/** Where the reviews of a page's product are asked for; the script adds which of them. */
function sectionHtml(slug: string, inner: string, { base, product }: LiveContext): string {
	const from = `${base}/reviews?piece=${encodeURIComponent(slug)}&product=${encodeURIComponent(product?.key ?? '')}`;
	const own = { class: 'anbau-reviews anbau-section', id: SECTION_ID, 'data-anbau-reviews': from };
	return element('section', own, inner);
}

function writing(slug: string, { write }: ReviewSettings, { base, reviews, product }: LiveContext): string {
	const pass = product && reviews.pass(product.key);
	if (!write || !product || pass === null) return '';
	return formHtml({ action: `${base}/reviews`, product: product.key, pass, id: slug });
}

function noReviews(slug: string, settings: ReviewSettings, context: LiveContext): string {
	if (settings.none === 'quiet') return '';
	const words = 'No reviews yet. Be the first to write one.';
	if (settings.form === 'section')
		return sectionHtml(slug, element('p', {}, words) + writing(slug, settings, context), context);
	return element('p', { class: 'anbau-rating' }, element('a', { href: `#${SECTION_ID}` }, words));
}

function starLine({ histogram }: ProductReviews, { count }: ReviewSettings, { locale }: LiveContext): string {
	const mean = roundedMean(histogram) ?? 0;
	const number = countOf(histogram);
	const said = element('b', {}, mean.toLocaleString(locale, { minimumFractionDigits: 1 }));
	const words = `${number.toLocaleString(locale)} ${number === 1 ? 'review' : 'reviews'}`;
	const link = count ? element('a', { href: `#${SECTION_ID}` }, words) : '';
	return element('p', { class: 'anbau-rating' }, starsHtml(mean, locale) + said + link);
}

/** Quotes: those picked by hand first, then the best of the product that have words. */
function quotes({ chosen, quotes: most, least }: ReviewSettings, context: LiveContext): string {
	const { product, reviews, locale } = context;
	const picked = chosen.flatMap((id) => reviews.byId(id) ?? []);
	const best = (product && reviews.of(product.key)?.best) ?? [];
	const others = best.filter((one) => one.rating >= least && one.text !== '' && !chosen.includes(one.id));
	const shown = [...picked, ...others].slice(0, Math.max(most, picked.length));
	if (shown.length === 0) return '';
	const own = shown.filter((one) => one.product === product?.key);
	const list = shown.map((one) => element('li', {}, quoteHtml(one, locale))).join('');
	return element('ul', { class: 'anbau-reviews anbau-quotes' }, list) + data(context, null, own);
}

function box(name: string, inner: string): string {
	return element('div', { class: `anbau-reviews anbau-${name}` }, inner);
}

/** What is seen, for search engines, where the product has an address. */
function data(
	{ product }: LiveContext,
	averageOf: Pick<ProductReviews, 'histogram'> | null,
	reviews: readonly ShownReview[]
): string {
	if (!product?.url) return '';
	const { key, title, url } = product;
	const found = structuredData({ product: { key, title, url }, histogram: averageOf?.histogram ?? null, reviews });
	if (!found) return '';
	// Inside a script element only its own end has a meaning.
	return `<script type="application/ld+json">${JSON.stringify(found).replace(/</g, '\\u003c')}</script>`;
}

/** The reviews that a widget's settings pick by hand. */
export function pickedReviews({ form, chosen }: ReviewSettings): string[] {
	return form === 'quotes' ? chosen : [];
}
