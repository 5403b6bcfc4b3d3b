import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { expect, it } from 'vitest';
import { DEMO_PIECES } from '../../../../demo/pieces.js';
import { openApiDocument } from './openapi.js';

/** An independent validator (Ajv, JSON Schema 2020-12, the dialect of OpenAPI 3.1) reads the schemas we publish. */
const document = openApiDocument('https://anbau.example') as {
	openapi: string;
	paths: Record<string, Record<string, { parameters: { in: string; name: string }[] }>>;
};
const ajv = new Ajv2020({ strict: false });
(addFormats as unknown as (target: Ajv2020) => void)(ajv);
ajv.addSchema(document, 'doc');
const validator = (name: string) => ajv.compile({ $ref: `doc#/components/schemas/${name}` });

it('the schemas take every piece of the demo and refuse what the API refuses', () => {
	const piece = validator('Piece');
	for (const [slug, { on: _on, ...demo }] of Object.entries(DEMO_PIECES))
		expect([slug, piece(demo), piece.errors]).toEqual([slug, true, null]);
	expect(piece({ kind: 'film', name: 'x' })).toBe(false);
	expect(piece({ kind: 'message', name: 'x', body: {}, colour: 'red' })).toBe(false);
	const rule = validator('Rule');
	expect(rule({ all: [{ not: { field: 'stock', operator: 'between', value: [1, 5] } }] })).toBe(true);
	expect(rule({ all: [{ field: 'stock', operator: 'near', value: 1 }] })).toBe(false);
});

it('every parameter of a path is described', () => {
	expect(document.openapi).toBe('3.1.0');
	for (const [path, operations] of Object.entries(document.paths)) {
		const wanted = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name);
		for (const { parameters } of Object.values(operations))
			expect(parameters.filter((one) => one.in === 'path').map((one) => one.name)).toEqual(wanted);
	}
});
