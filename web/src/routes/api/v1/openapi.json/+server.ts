import { json } from '@sveltejs/kit';
import { openApiDocument } from '$lib/server/openapi.js';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ url }) => json(openApiDocument(url.origin));
