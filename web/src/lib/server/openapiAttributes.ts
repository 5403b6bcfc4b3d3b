import { attributeSchema } from '@anbau/core/catalog';
import { asJson, header, query, schemaOf, text, type Operation } from './openapiParts.js';
import { sheetChangesSchema, sheetQuerySchema } from './work/sheet.js';

const of = query('of', { enum: ['product', 'category'] });

/** What can be done with attributes and their values. */
export const ATTRIBUTE_OPERATIONS: Operation[] = [
	{
		method: 'get',
		path: '/attributes',
		summary: 'The attributes with how full each is, and codes that are not defined.'
	},
	{ method: 'get', path: '/attributes/{code}', summary: 'One attribute’s definition.' },
	{
		method: 'put',
		path: '/attributes/{code}',
		summary: 'Define an attribute; the values that are there are read anew by it.',
		body: asJson(schemaOf(attributeSchema)),
		parameters: [
			query('drop', { type: 'boolean', description: 'clear values that cannot be converted' }),
			header('If-None-Match', '* lets only a new code be written')
		]
	},
	{
		method: 'delete',
		path: '/attributes/{code}',
		summary: 'Take a definition away; its values stay in the catalogue.',
		status: 204
	},
	{
		method: 'post',
		path: '/attributes/{code}/conversion',
		summary: 'What a changed definition would do to the values that are there.',
		body: asJson(schemaOf(attributeSchema))
	},
	{
		method: 'get',
		path: '/sheet',
		summary: 'Rows of the sheet: products or categories with their values as texts.',
		parameters: Object.entries(
			(schemaOf(sheetQuerySchema).properties ?? {}) as Record<string, Record<string, unknown>>
		).map(([name, schema]) => query(name, schema))
	},
	{
		method: 'patch',
		path: '/sheet',
		summary: 'Write cells; those that cannot be taken are answered, the others are saved.',
		body: asJson(schemaOf(sheetChangesSchema))
	},
	{ method: 'get', path: '/sheet/file', summary: 'The sheet as a CSV file.', parameters: [of] },
	{
		method: 'put',
		path: '/sheet/file',
		summary: 'Take a CSV file of the sheet, or say what it would change.',
		body: { 'text/csv': text },
		parameters: [of, query('dry', { type: 'boolean' })]
	},
	{
		method: 'post',
		path: '/files',
		summary: 'Upload a document; its address is what a value of type documents names.',
		body: { 'application/octet-stream': { type: 'string', format: 'binary' } },
		parameters: [query('name', text)]
	}
];
