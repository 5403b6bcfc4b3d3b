import { z } from 'zod';

/** Whether a review waits for someone to look at it, is shown, or is hidden for a reason. */
export const REVIEW_STATES = ['waiting', 'shown', 'hidden'] as const;
export type ReviewState = (typeof REVIEW_STATES)[number];

/** The best rating; the worst is 1 (schema.org takes both for granted where nothing else is said). */
export const BEST_RATING = 5;
export const RATINGS = [5, 4, 3, 2, 1] as const;

/** A customer's review of a product. */
export interface Review {
	/** Unique in the store. */
	id: string;
	/** The product's key. */
	product: string;
	/** Whole stars, 1 to 5. */
	rating: number;
	title: string;
	text: string;
	/** The name under which it is shown. */
	author: string;
	/** UTC instant. */
	date: string;
	/** Whether it came by an invitation for an order, or is known to the shop as a purchase. */
	verified: boolean;
	/** Addresses, of the web or of uploads. */
	pictures: string[];
	state: ReviewState;
	/** Why it is hidden. */
	reason: string;
	/** The store's answer; empty when there is none. */
	reply: string;
}

/** What of a review shoppers see. */
export type ShownReview = Omit<Review, 'state' | 'reason'>;

/** The longest that is kept, in characters. */
export const REVIEW_LIMITS = { id: 100, author: 80, title: 200, text: 10_000, reason: 300, reply: 5000 } as const;
export const MOST_PICTURES = 10;
/** How many pictures a customer may add to a review. */
export const MOST_SENT = 3;

/** An upload by what it is, as media pieces name one too. */
const UPLOADED = /^media:[0-9a-f]{64}\.[a-z0-9]{2,5}$/;

/** Whether an address can be a review's picture: of the web, or of an upload. */
export function isPicture(address: string): boolean {
	return UPLOADED.test(address) || (address.length <= 2000 && /^https?:\/\/[^\s/?#]+[^\s]*$/i.test(address));
}

const line = (limit: number) =>
	z
		.string()
		.transform((text) => text.trim())
		.pipe(z.string().max(limit, `has more than ${limit} characters`));

/** The form of a review in the shop, as it is sent. */
export const submissionSchema = z.strictObject({
	product: z.string().min(1).max(200),
	rating: z
		.number('must be a number of stars')
		.int('must be whole stars')
		.min(1, 'must be 1 star at least')
		.max(BEST_RATING, `must be ${BEST_RATING} stars at most`),
	title: line(REVIEW_LIMITS.title).default(''),
	text: line(REVIEW_LIMITS.text).pipe(z.string().min(1, 'must not be empty')),
	author: line(REVIEW_LIMITS.author).pipe(z.string().min(1, 'must not be empty')),
	/** Uploads that the form sent before. */
	pictures: z
		.array(z.string().regex(UPLOADED, 'must be the address of an upload'))
		.max(MOST_SENT, `has more than ${MOST_SENT} pictures`)
		.default([]),
	/** The product's signature, which stands in the form. */
	pass: z.string().max(200),
	/** A field that people do not see; whoever fills it in is none. */
	website: z.string().max(2000).default(''),
	/** The token of an invitation. */
	invitation: z.string().max(2000).nullable().default(null)
});
export type Submission = z.infer<typeof submissionSchema>;

/** What a moderator changes of reviews. */
export const moderationSchema = z
	.strictObject({
		state: z.enum(REVIEW_STATES).optional(),
		reason: line(REVIEW_LIMITS.reason).optional(),
		reply: line(REVIEW_LIMITS.reply).optional()
	})
	.refine(({ state, reason }) => state !== 'hidden' || Boolean(reason), {
		message: 'must say why it is hidden',
		path: ['reason']
	});
export type Moderation = z.infer<typeof moderationSchema>;
