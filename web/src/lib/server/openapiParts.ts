import { z } from 'zod';

export type Json = Record<string, unknown>;

export interface Operation {
	method: 'get' | 'put' | 'post' | 'patch' | 'delete';
	path: string;
	summary: string;
	/** Media type and schema of what goes in. */
	body?: Record<string, Json>;
	parameters?: Json[];
	/** The status of success, if not 200. */
	status?: number;
}

export const schemaOf = (schema: z.ZodType): Json => {
	const { $schema: _dialect, ...json } = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as Json;
	return json;
};
export const ref = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
export const asJson = (schema: Json): Record<string, Json> => ({ 'application/json': schema });
export const text: Json = { type: 'string' };
export const query = (name: string, schema: Json): Json => ({ name, in: 'query', schema });
export const header = (name: string, description: string): Json => ({ name, in: 'header', description, schema: text });
