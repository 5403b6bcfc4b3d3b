import { asJson, query, schemaOf, text, type Operation } from './openapiParts.js';
import { linkSchema } from './work/links.js';
import { mediaPatchSchema } from './work/media.js';
import { replacementSchema } from './work/mediaUse.js';

/** What can be done with uploaded pictures, films and captions. */
export const MEDIA_OPERATIONS: Operation[] = [
	{ method: 'get', path: '/media', summary: 'What is on the shelf: facts, findings, and where each is shown.' },
	{
		method: 'post',
		path: '/media',
		summary: 'Upload a picture, film, drawing or captions; it is told by its content, read and judged.',
		body: {
			'multipart/form-data': { type: 'object', properties: { file: { type: 'string', format: 'binary' } } },
			'application/octet-stream': { type: 'string', contentMediaType: 'application/octet-stream' }
		},
		parameters: [query('name', text)]
	},
	{
		method: 'post',
		path: '/media/uploads',
		summary: 'Begin an upload in pieces by tus 1.0; PATCH, HEAD and DELETE on the address that is answered.',
		status: 201
	},
	{
		method: 'patch',
		path: '/media/{sha}',
		summary: 'Rename an upload, say what it shows, give it a still picture or captions, take it from the shelf.',
		body: asJson(schemaOf(mediaPatchSchema))
	},
	{
		method: 'post',
		path: '/media/{sha}/replacement',
		summary: 'Put another upload in its place, in every draft, own text and value.',
		body: asJson(schemaOf(replacementSchema))
	},
	{
		method: 'post',
		path: '/media/links',
		summary: 'What a link shows, as its provider says by oEmbed.',
		body: asJson(schemaOf(linkSchema))
	}
];
