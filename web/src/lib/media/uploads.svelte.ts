import { Upload as Resumable, type DetailedError } from 'tus-js-client';
import type { MediaView } from '$lib/contracts.js';

/** One upload on its way: how far it is, and what went wrong. */
export interface Upload {
	id: number;
	name: string;
	/** From 0 to 1. */
	progress: number;
	problem: string;
	cancel: () => void;
	/** Goes on where it broke off; null where the file itself was refused. */
	goOn: (() => void) | null;
}

/** How much is sent at a time; what arrived stays, whatever becomes of the rest. */
const PIECE = 8 * 1024 * 1024;

/** Sends files one after the other in pieces, each with its progress, each to be cancelled and gone on with. */
export class Uploads {
	list = $state.raw<Upload[]>([]);
	private count = 0;
	private running: Promise<void> = Promise.resolve();

	/** `ondone` is told each file that is on the shelf. */
	constructor(private readonly ondone: (media: MediaView) => void) {}

	send(files: Iterable<File>): void {
		for (const file of files) {
			const id = ++this.count;
			const work = { ended: () => undefined as void, isCancelled: false };
			const upload = this.prepare(id, file, () => work.ended());
			const cancel = () => {
				work.isCancelled = true;
				// What was sent is thrown away on the server too.
				void upload.abort(upload.url !== null);
				this.forget(id);
				work.ended();
			};
			this.list = [...this.list, { id, name: file.name, progress: 0, problem: '', cancel, goOn: null }];
			this.running = this.running.then(
				() =>
					new Promise((resolve) => {
						work.ended = resolve;
						if (work.isCancelled) resolve();
						else void this.begin(upload);
					})
			);
		}
	}

	forget(id: number): void {
		this.list = this.list.filter((one) => one.id !== id);
	}

	private set(id: number, change: Partial<Upload>): void {
		this.list = this.list.map((one) => (one.id === id ? { ...one, ...change } : one));
	}

	/** A file that broke off before, even in a window that was closed, goes on where it was. */
	private async begin(upload: Resumable): Promise<void> {
		const [known] = await upload.findPreviousUploads();
		if (known) upload.resumeFromPreviousUpload(known);
		upload.start();
	}

	private prepare(id: number, file: File, ended: () => void): Resumable {
		const upload = new Resumable(file, {
			endpoint: '/api/v1/media/uploads',
			chunkSize: PIECE,
			retryDelays: [500, 2000, 5000],
			metadata: { filename: file.name },
			removeFingerprintOnSuccess: true,
			onProgress: (sent, total) => this.set(id, { progress: total ? sent / total : 0 }),
			onSuccess: ({ lastResponse }) => {
				this.forget(id);
				this.ondone(JSON.parse(lastResponse.getBody()) as MediaView);
				ended();
			},
			onError: (error) => {
				const refusal = refusalOf(error);
				const goOn = () => {
					this.set(id, { problem: '', goOn: null });
					upload.start();
				};
				this.set(id, {
					problem: refusal ?? 'It broke off. What was sent is kept for a day.',
					goOn: refusal === null ? goOn : null
				});
				ended();
			}
		});
		return upload;
	}
}

/** What the server has against a file; null where it did not say anything. */
function refusalOf(error: Error | DetailedError): string | null {
	const response = 'originalResponse' in error ? error.originalResponse : null;
	if (!response || response.getStatus() < 400) return null;
	try {
		return (JSON.parse(response.getBody()) as { title?: string }).title ?? null;
	} catch {
		return response.getStatus() === 413 ? 'The file is larger than 1 GB, the most that is taken here.' : null;
	}
}
