import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { api, parameter } from '$lib/server/api.js';
import { Problem, readBy } from '$lib/server/problem.js';
import { readJson } from '$lib/server/requestBody.js';
import {
	deletePiece,
	getPiece,
	putPiece,
	switchPiece,
	type PieceView,
	type WriteCondition
} from '$lib/server/work/pieces.js';

export const GET = api(async (event, actor) => answer(await getPiece(actor, parameter(event, 'slug'), Date.now())));

/** Replaces the draft. `If-Match` guards against overwriting a colleague, `If-None-Match: *` against a taken slug. */
export const PUT = api(async (event, actor) => {
	const input = await readJson(event.request);
	return answer(await putPiece(actor, parameter(event, 'slug'), input, conditionOf(event.request), Date.now()));
});

/** The off switch. */
export const PATCH = api(async (event, actor) => {
	const { on } = readBy(z.strictObject({ on: z.boolean() }), await readJson(event.request), 'The switch');
	return answer(await switchPiece(actor, parameter(event, 'slug'), on, Date.now()));
});

export const DELETE = api(async (event, actor) => {
	await deletePiece(actor, parameter(event, 'slug'), conditionOf(event.request), Date.now());
	return new Response(null, { status: 204 });
});

function answer(piece: PieceView): Response {
	return json(piece, { headers: { etag: `"${piece.version}"`, 'cache-control': 'no-store' } });
}

function conditionOf(request: Request): WriteCondition {
	if (request.headers.get('if-none-match') === '*') return { kind: 'new' };
	const match = request.headers.get('if-match');
	if (match === null || match === '*') return { kind: 'any' };
	const version = /^"(\d{1,9})"$/.exec(match)?.[1];
	if (!version) throw new Problem('invalid', 400, 'If-Match must be the ETag of the piece as it was read, like "3".');
	return { kind: 'version', version: Number(version) };
}
