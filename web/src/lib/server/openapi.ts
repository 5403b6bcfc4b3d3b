import type { z } from 'zod';
import { pieceSchema } from '@anbau/core/pieces';
import { ruleShape } from '@anbau/core/rules';
import { ATTRIBUTE_OPERATIONS } from './openapiAttributes.js';
import { MEDIA_OPERATIONS } from './openapiMedia.js';
import { REVIEW_OPERATIONS } from './openapiReviews.js';
import { asJson, header, query, ref, schemaOf, text, type Json, type Operation } from './openapiParts.js';
import { PLACING_OPERATIONS } from './openapiPlacing.js';
import { STORE_OPERATIONS } from './openapiStore.js';
import { productQuerySchema } from './work/products.js';
import { publishSchema } from './work/releases.js';
import { explainSchema } from './work/rules.js';

const properties = (schema: z.ZodType): [string, Json][] =>
	Object.entries((schemaOf(schema).properties ?? {}) as Record<string, Json>);

const guards = [
	header('If-Match', 'the ETag of the piece as it was read; another version is answered with 412'),
	header('If-None-Match', '* lets only a new piece be written')
];

const OPERATIONS: Operation[] = [
	{
		method: 'put',
		path: '/catalog',
		summary: 'Take a catalogue file: upsert by key, one bad row never loses a good one.',
		body: { 'text/csv': text, 'application/x-ndjson': text },
		parameters: [query('mode', { enum: ['upsert', 'replace'] }), query('job', text)]
	},
	{ method: 'get', path: '/catalog/index', summary: 'The packed catalogue from which reach is counted in a browser.' },
	{ method: 'get', path: '/catalog/filters', summary: 'The categories and tags of the catalogue.' },
	{
		method: 'get',
		path: '/products',
		summary: 'Search, filter and sort products.',
		parameters: properties(productQuerySchema).map(([name, schema]) => query(name, schema))
	},
	{ method: 'get', path: '/products/{key}', summary: 'One product.' },
	{
		method: 'patch',
		path: '/products/{key}',
		summary: 'Set single values of a product, named as the catalogue’s columns.',
		body: asJson({ type: 'object' })
	},
	{ method: 'get', path: '/pieces', summary: 'All pieces, with their states and reach.' },
	{ method: 'get', path: '/pieces/{slug}', summary: 'One piece’s draft.' },
	{
		method: 'put',
		path: '/pieces/{slug}',
		summary: 'Replace a piece’s draft; `on` acts at once.',
		body: asJson(ref('Piece')),
		parameters: guards
	},
	{
		method: 'patch',
		path: '/pieces/{slug}',
		summary: 'Switch a piece on or off, at once.',
		body: asJson({ type: 'object', properties: { on: { type: 'boolean' } }, required: ['on'] })
	},
	{
		method: 'delete',
		path: '/pieces/{slug}',
		summary: 'Delete a draft; what is public goes with the next release.',
		parameters: guards.slice(0, 1),
		status: 204
	},
	{
		method: 'post',
		path: '/reach',
		summary: 'Count what a target reaches.',
		body: asJson({ type: 'object', properties: { target: ref('Rule') }, required: ['target'] })
	},
	{
		method: 'post',
		path: '/explain',
		summary: 'Say why a piece shows on a product’s page or does not.',
		body: asJson(schemaOf(explainSchema))
	},
	{
		method: 'get',
		path: '/impact',
		summary: 'What publishing would change.',
		parameters: [query('piece', { type: 'array', items: text })]
	},
	{
		method: 'post',
		path: '/publish',
		summary: 'Publish what waits, or some pieces, as the next release.',
		body: asJson(schemaOf(publishSchema))
	},
	{ method: 'get', path: '/releases', summary: 'Past releases, the newest first.' },
	{
		method: 'post',
		path: '/releases/{number}/restore',
		summary: 'Put an earlier release back, as a release of its own.'
	},
	...PLACING_OPERATIONS,
	...MEDIA_OPERATIONS,
	...REVIEW_OPERATIONS,
	...ATTRIBUTE_OPERATIONS,
	...STORE_OPERATIONS,
	{ method: 'get', path: '/jobs/{id}', summary: 'How far a running import is.' },
	{
		method: 'delete',
		path: '/jobs/{id}',
		summary: 'Ask a running import to stop; it then changes nothing.',
		status: 202
	}
];

const PROBLEM: Json = {
	type: 'object',
	description: 'A problem document (RFC 9457).',
	properties: {
		type: { type: 'string', description: 'stable, urn:anbau:problem:…' },
		title: { type: 'string', description: 'a plain sentence' },
		status: { type: 'integer' },
		detail: text,
		at: { type: 'string', description: 'JSON pointer of the first fault' },
		faults: { type: 'array', items: { type: 'object', properties: { at: text, message: text } } }
	},
	required: ['type', 'title', 'status']
};

/** The owner's API as an OpenAPI 3.1 document, made from the schemas that read what comes in. */
export function openApiDocument(origin: string): Json {
	const paths: Record<string, Json> = {};
	for (const operation of OPERATIONS)
		paths[operation.path] = { ...paths[operation.path], [operation.method]: describe(operation) };
	return {
		openapi: '3.1.0',
		info: { title: 'Anbau', version: '1', description: 'The owner’s API. Errors are problem documents (RFC 9457).' },
		servers: [{ url: `${origin}/api/v1` }],
		security: [{ key: [] }],
		paths,
		components: {
			securitySchemes: { key: { type: 'http', scheme: 'bearer' } },
			schemas: { Piece: schemaOf(pieceSchema), Rule: ruleSchema(), Problem: PROBLEM }
		}
	};
}

/** The rule's schema nests itself; its own definitions move to the place where the document has it. */
function ruleSchema(): Json {
	return JSON.parse(
		JSON.stringify(schemaOf(ruleShape))
			.replaceAll('"#/$defs/', '"#/components/schemas/Rule/$defs/')
			.replaceAll('"$ref":"#"', '"$ref":"#/components/schemas/Rule"')
	) as Json;
}

function describe({ path, summary, body, parameters = [], status = 200 }: Operation): Json {
	const inPath = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
		name,
		in: 'path',
		required: true,
		schema: text
	}));
	const content = body && Object.fromEntries(Object.entries(body).map(([type, schema]) => [type, { schema }]));
	return {
		summary,
		parameters: [...inPath, ...parameters],
		...(content ? { requestBody: { required: true, content } } : {}),
		responses: {
			[status]: { description: 'done' },
			default: { description: 'a problem', content: { 'application/problem+json': { schema: ref('Problem') } } }
		}
	};
}
