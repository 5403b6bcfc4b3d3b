import type { RequestHandler } from './$types';
import { liveAnswer, preflight } from '$lib/server/liveAnswer.js';
import { unfit } from '$lib/server/bytes.js';
import { takePicture } from '$lib/server/work/submitReview.js';

/** Takes a picture for a review that is being written; answers what the review names it by. */
export const POST: RequestHandler = ({ params, url, request, getClientAddress }) =>
	liveAnswer(async () => {
		if (!request.body) throw unfit('The file is empty.');
		const body = request.body as unknown as AsyncIterable<Uint8Array>;
		return takePicture(params.storeKey, url.searchParams, body, getClientAddress(), Date.now());
	}, 201);

export const OPTIONS: RequestHandler = preflight;
