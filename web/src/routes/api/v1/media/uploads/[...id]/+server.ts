import { api } from '$lib/server/api.js';
import { resumableUpload } from '$lib/server/work/resumable.js';

/** An upload in pieces, by tus 1.0: created, gone on with, asked after, given up. */
const upload = api(({ request }, actor) => resumableUpload(actor, request));

export { upload as DELETE, upload as HEAD, upload as OPTIONS, upload as PATCH, upload as POST };
