import { exceptionSchemaFor, housePartSchema, houseTabSchema, themeHookSchema } from '@anbau/core/placement';
import { asJson, query, schemaOf, text, type Operation } from './openapiParts.js';
import { orderSchema } from './work/order.js';
import { trySchema } from './work/sightings.js';

const exception = { anyOf: [schemaOf(exceptionSchemaFor({})), schemaOf(exceptionSchemaFor({ houseTab: '' }))] };

/** What can be done with order, exceptions, and how the shop's theme is connected. */
export const PLACING_OPERATIONS: Operation[] = [
	{
		method: 'post',
		path: '/order',
		summary: 'Move placements and the theme’s tabs: another priority, another hook. All of them or none.',
		body: asJson(schemaOf(orderSchema))
	},
	{
		method: 'get',
		path: '/exceptions',
		summary: 'The deviations of single products.',
		parameters: [query('product', text), query('piece', text)]
	},
	{
		method: 'post',
		path: '/exceptions',
		summary: 'Let one product deviate from a piece, or from one of the theme’s tabs.',
		body: asJson(exception)
	},
	{ method: 'delete', path: '/exceptions/{id}', summary: 'Let a product follow the library again.', status: 204 },
	{ method: 'get', path: '/exceptions/file', summary: 'Every deviation as CSV.' },
	{ method: 'get', path: '/house-tabs', summary: 'The tabs that the theme brings itself.' },
	{ method: 'get', path: '/house-tabs/{slug}', summary: 'One of the theme’s tabs.' },
	{
		method: 'put',
		path: '/house-tabs/{slug}',
		summary: 'Rename, order, hide one of the theme’s tabs, give it an icon, say how it is found.',
		body: asJson(schemaOf(houseTabSchema))
	},
	{ method: 'delete', path: '/house-tabs/{slug}', summary: 'Forget one of the theme’s tabs.', status: 204 },
	{ method: 'get', path: '/house-parts', summary: 'Elements of the theme that hang on another hook.' },
	{ method: 'get', path: '/house-parts/{slug}', summary: 'One element of the theme that hangs on another hook.' },
	{
		method: 'put',
		path: '/house-parts/{slug}',
		summary: 'Hang an element of the theme on another hook.',
		body: asJson(schemaOf(housePartSchema))
	},
	{ method: 'delete', path: '/house-parts/{slug}', summary: 'Leave it where the theme has it.', status: 204 },
	{ method: 'get', path: '/hooks', summary: 'Every hook, how it is found, and what was last seen of it.' },
	{ method: 'get', path: '/hooks/{id}', summary: 'One hook.' },
	{
		method: 'put',
		path: '/hooks/{id}',
		summary: 'Bind a hook to the theme, or add one of your own.',
		body: asJson(schemaOf(themeHookSchema))
	},
	{
		method: 'delete',
		path: '/hooks/{id}',
		summary: 'Take a binding, or a hook of your own on which nothing hangs, away.',
		status: 204
	},
	{ method: 'post', path: '/hooks/look', summary: 'Look for every hook on sample pages of the shop.' },
	{
		method: 'post',
		path: '/hooks/try',
		summary: 'How many elements a selector finds on sample pages of the shop.',
		body: asJson(schemaOf(trySchema))
	},
	{
		method: 'post',
		path: '/hooks/link',
		summary: 'A link to the shop that draws its hooks in, good for an hour.',
		parameters: [query('product', text)]
	}
];
