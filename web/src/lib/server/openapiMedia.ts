import { asJson, query, schemaOf, text, type Operation } from './openapiParts.js';
import { mediaPatchSchema } from './work/media.js';

/** What can be done with uploaded pictures and films. */
export const MEDIA_OPERATIONS: Operation[] = [
	{ method: 'get', path: '/media', summary: 'What is on the shelf: facts, findings, and where each is shown.' },
	{
		method: 'post',
		path: '/media',
		summary: 'Upload a picture or film; it is told by its content, read and judged.',
		body: { 'application/octet-stream': { type: 'string', contentMediaType: 'application/octet-stream' } },
		parameters: [query('name', text)]
	},
	{
		method: 'patch',
		path: '/media/{sha}',
		summary: 'Rename an upload, say what it shows, take it from the shelf or put it back.',
		body: asJson(schemaOf(mediaPatchSchema))
	}
];
