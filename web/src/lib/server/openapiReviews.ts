import { moderationSchema, REVIEW_COLUMNS, REVIEW_ORDERS, REVIEW_STATES } from '@anbau/core/reviews';
import { asJson, query, schemaOf, text, type Operation } from './openapiParts.js';
import { invitationSchema } from './work/submitReview.js';

const FILTER = [
	query('state', { enum: [...REVIEW_STATES] }),
	query('product', text),
	query('rating', { type: 'integer', minimum: 1, maximum: 5 }),
	query('verified', { type: 'boolean' }),
	query('q', text)
];

/** What can be done with reviews. */
export const REVIEW_OPERATIONS: Operation[] = [
	{
		method: 'get',
		path: '/reviews',
		summary: 'A page of fifty reviews, and how many there are in each state.',
		parameters: [
			...FILTER,
			query('order', { enum: [...REVIEW_ORDERS] }),
			query('page', { type: 'integer', minimum: 1 })
		]
	},
	{
		method: 'put',
		path: '/reviews',
		summary: `Take a file of reviews, upsert by id. Columns and keys are ${REVIEW_COLUMNS.join(', ')}; columns says which is which where they are called otherwise.`,
		body: { 'text/csv': text, 'application/x-ndjson': text },
		parameters: [query('dry', { enum: ['1'] }), query('columns', text), query('job', text)]
	},
	{
		method: 'patch',
		path: '/reviews',
		summary: 'Show, hide or answer reviews; a reply is for one at a time.',
		body: asJson({
			allOf: [
				schemaOf(moderationSchema),
				{ type: 'object', properties: { ids: { type: 'array', items: text } }, required: ['ids'] }
			]
		})
	},
	{ method: 'get', path: '/reviews/{id}', summary: 'One review.' },
	{ method: 'delete', path: '/reviews/{id}', summary: 'Erase a review for good.', status: 204 },
	{
		method: 'get',
		path: '/reviews/file',
		summary: 'The reviews of a filter as a file that an import reads.',
		parameters: [...FILTER, query('format', { enum: ['csv', 'ndjson'] })]
	},
	{ method: 'get', path: '/reviews/of/{key}', summary: 'What a product’s widgets show of its reviews.' },
	{
		method: 'get',
		path: '/reviews/statistics',
		summary: 'Counts by rating, month by month, and products by their score.',
		parameters: [query('product', text)]
	},
	{
		method: 'post',
		path: '/reviews/invitations',
		summary: 'Links by which the customer of an order reviews its products as verified.',
		body: asJson(schemaOf(invitationSchema))
	}
];
