export {
	BEST_RATING,
	moderationSchema,
	MOST_SENT,
	RATINGS,
	REVIEW_LIMITS,
	REVIEW_STATES,
	submissionSchema,
	type Moderation,
	type Review,
	type ReviewState,
	type ShownReview,
	type Submission
} from './review.js';
export {
	counted,
	countOf,
	meanOf,
	NO_REVIEWS,
	roundedMean,
	scoreOf,
	sharesOf,
	trendOf,
	wilsonInterval,
	type Histogram,
	type Month
} from './stats.js';
export {
	lackingColumns,
	matchColumns,
	NEEDED_COLUMNS,
	REVIEW_COLUMNS,
	type ColumnMatch,
	type ReviewColumn
} from './columns.js';
export { readReview, type ReviewReading, type ReviewRow, type ReviewRowContext } from './row.js';
export { structuredData, type Visible } from './structuredData.js';
export {
	NO_SOURCE,
	REVIEW_ORDERS,
	type ProductReviews,
	type ReviewOrder,
	type ReviewQuery,
	type ReviewSource
} from './source.js';
