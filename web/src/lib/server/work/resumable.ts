import { randomUUID } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { FileStore } from '@tus/file-store';
import { Server } from '@tus/server';
import { MOST_BYTES } from '@anbau/core/media';
import type { Actor } from '../db/users.js';
import { diskProblem, folder } from '../bytes.js';
import { Problem } from '../problem.js';
import { takeMediaFile } from './media.js';

/** Where uploads in pieces are sent. */
export const RESUMABLE_PATH = '/api/v1/media/uploads';
const DAY = 86_400_000;

/**
 * Uploads that come in pieces and go on where they broke off, by the open protocol tus 1.0 (tus.io). One that nobody
 * goes on with is thrown away after a day. Ids begin with the store's, so that each store has its own.
 */
export async function resumableUpload(actor: Actor, request: Request): Promise<Response> {
	const [, id] = new URL(request.url).pathname.split(`${RESUMABLE_PATH}/`);
	if (id !== undefined && !id.startsWith(`${actor.storeId}-`))
		throw new Problem('not-found', 404, 'There is no such upload.');
	actors.set(request, actor);
	const { server, store } = serving();
	if (request.method === 'POST') await store.deleteExpired();
	return server.handleWeb(request);
}

/** Who makes a request, for the server below, which gets only the request. */
const actors = new WeakMap<Request, Actor>();
let made: { server: Server; store: FileStore; directory: string } | undefined;

function serving(): { server: Server; store: FileStore; directory: string } {
	const directory = join(folder('media'), 'coming');
	if (made?.directory === directory) return made;
	mkdirSync(directory, { recursive: true });
	const store = new FileStore({ directory, expirationPeriodInMilliseconds: DAY });
	const server = new Server({
		path: RESUMABLE_PATH,
		datastore: store,
		maxSize: MOST_BYTES,
		relativeLocation: true,
		respectForwardedHeaders: true,
		namingFunction: (request) => `${actorOf(request).storeId}-${randomUUID()}`,
		onUploadFinish: async (request, upload) => {
			const file = join(directory, upload.id);
			try {
				const media = await takeMediaFile(actorOf(request), upload.metadata?.filename ?? '', file);
				return { status_code: 200, headers: { 'content-type': 'application/json' }, body: JSON.stringify(media) };
			} catch (error) {
				const response = (error instanceof Problem ? error : internal(error)).toResponse();
				throw { status_code: response.status, body: await response.text() };
			} finally {
				await rm(file, { force: true });
				await store.configstore.delete(upload.id);
			}
		},
		onResponseError: (_, error) => {
			const problem = error instanceof Error ? diskProblem(error) : null;
			if (!(problem instanceof Problem)) return undefined;
			return { status_code: problem.status, body: JSON.stringify({ title: problem.message }) };
		}
	});
	return (made = { server, store, directory });
}

function actorOf(request: Request): Actor {
	const actor = actors.get(request);
	if (!actor) throw new Error('an upload came without anyone who makes it');
	return actor;
}

function internal(error: unknown): Problem {
	console.error('An upload could not be taken.', error);
	return new Problem('invalid', 500, 'The file could not be taken; the server log says why.');
}
