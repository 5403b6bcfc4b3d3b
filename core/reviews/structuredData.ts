import { BEST_RATING, type ShownReview } from './review.js';
import { countOf, roundedMean, type Histogram } from './stats.js';

/** What a widget shows of a product's reviews. */
export interface Visible {
	product: { key: string; title: string; url: string };
	/** The histogram, where the average is seen. */
	histogram: Histogram | null;
	/** The reviews that are seen. */
	reviews: readonly ShownReview[];
}

/**
 * Structured data of reviews for search engines, only of what is seen (schema.org `Product`, `AggregateRating`,
 * `Review`; JSON-LD 1.1). Its nodes have ids of their own, so that several widgets on a page say the same of one
 * product. Null when nothing is seen.
 */
export function structuredData({ product, histogram, reviews }: Visible): object | null {
	const mean = histogram && roundedMean(histogram);
	if (mean === null && reviews.length === 0) return null;
	return {
		'@context': 'https://schema.org',
		'@type': 'Product',
		'@id': product.url,
		name: product.title,
		url: product.url,
		...(histogram && mean !== null
			? {
					aggregateRating: {
						'@type': 'AggregateRating',
						'@id': `${product.url}#rating`,
						ratingValue: mean,
						bestRating: BEST_RATING,
						worstRating: 1,
						reviewCount: countOf(histogram)
					}
				}
			: {}),
		...(reviews.length > 0 ? { review: reviews.map((one) => reviewNode(product.url, one)) } : {})
	};
}

function reviewNode(url: string, { id, rating, title, text, author, date }: ShownReview): object {
	return {
		'@type': 'Review',
		'@id': `${url}#review-${encodeURIComponent(id)}`,
		itemReviewed: { '@id': url },
		reviewRating: { '@type': 'Rating', ratingValue: rating, bestRating: BEST_RATING, worstRating: 1 },
		author: { '@type': 'Person', name: author },
		datePublished: date.slice(0, 10),
		...(title === '' ? {} : { name: title }),
		...(text === '' ? {} : { reviewBody: text })
	};
}
