import { asJson, ref, schemaOf, type Operation } from './openapiParts.js';
import { feedSchema } from './work/feed.js';
import { iconInputSchema } from './work/icons.js';
import { listsSchema } from './work/productLists.js';
import { storePatchSchema } from './work/storeSettings.js';

/** What can be done with the store itself, and with what its pieces are made from. */
export const STORE_OPERATIONS: Operation[] = [
	{ method: 'get', path: '/store', summary: 'The store with its settings and the draft of its style.' },
	{
		method: 'patch',
		path: '/store',
		summary: 'Change settings, which act at once, or the style, which waits for a release.',
		body: asJson(schemaOf(storePatchSchema))
	},
	{ method: 'get', path: '/feed', summary: 'Where the catalogue is pulled from, and how the pulls went.' },
	{
		method: 'put',
		path: '/feed',
		summary: 'Set where the catalogue is pulled from and how often; null for nowhere.',
		body: asJson({ anyOf: [schemaOf(feedSchema), { type: 'null' }] })
	},
	{ method: 'post', path: '/feed/pull', summary: 'Pull the catalogue now.' },
	{ method: 'get', path: '/icons', summary: 'The owner’s own icons.' },
	{
		method: 'put',
		path: '/icons/{slug}',
		summary: 'Add an icon as SVG; it is cleaned.',
		body: asJson(schemaOf(iconInputSchema))
	},
	{ method: 'delete', path: '/icons/{slug}', summary: 'Take an icon away that no piece shows.', status: 204 },
	{ method: 'get', path: '/starters', summary: 'The pieces that were kept to begin from.' },
	{ method: 'put', path: '/starters/{slug}', summary: 'Keep a piece as a starter.', body: asJson(ref('Piece')) },
	{ method: 'delete', path: '/starters/{slug}', summary: 'Take a starter away.', status: 204 },
	{
		method: 'post',
		path: '/quiet',
		summary: 'On how many products that a piece reaches it, or a part of it, stays away.',
		body: asJson({ type: 'object', properties: { slug: { type: 'string' }, piece: ref('Piece') }, required: ['piece'] })
	},
	{
		method: 'post',
		path: '/product-lists',
		summary: 'What product lists show on the page of a product.',
		body: asJson(schemaOf(listsSchema))
	}
];
