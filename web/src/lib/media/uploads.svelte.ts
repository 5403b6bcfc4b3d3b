import type { MediaView } from '$lib/contracts.js';

/** One upload on its way: how far it is, and what went wrong. */
export interface Upload {
	id: number;
	name: string;
	/** From 0 to 1. */
	progress: number;
	problem: string;
	cancel: () => void;
}

/** Sends files one after the other, each with its progress, each to be cancelled. */
export class Uploads {
	list = $state.raw<Upload[]>([]);
	private count = 0;
	private running: Promise<void> = Promise.resolve();

	/** `ondone` is told each file that is on the shelf. */
	constructor(private readonly ondone: (media: MediaView) => void) {}

	send(files: Iterable<File>): void {
		for (const file of files) {
			const request = new XMLHttpRequest();
			const id = ++this.count;
			let isCancelled = false;
			const cancel = () => {
				isCancelled = true;
				request.abort();
				this.forget(id);
			};
			this.list = [...this.list, { id, name: file.name, progress: 0, problem: '', cancel }];
			this.running = this.running.then(() => (isCancelled ? undefined : this.one(id, file, request)));
		}
	}

	forget(id: number): void {
		this.list = this.list.filter((one) => one.id !== id);
	}

	private set(id: number, change: Partial<Upload>): void {
		this.list = this.list.map((one) => (one.id === id ? { ...one, ...change } : one));
	}

	/** `fetch` does not tell how much was sent; this older way does. */
	private one(id: number, file: File, request: XMLHttpRequest): Promise<void> {
		return new Promise((resolve) => {
			request.open('POST', `/api/v1/media?name=${encodeURIComponent(file.name)}`);
			request.setRequestHeader('content-type', 'application/octet-stream');
			request.responseType = 'json';
			request.upload.onprogress = ({ loaded, total }) => this.set(id, { progress: total > 0 ? loaded / total : 0 });
			request.onload = () => {
				if (request.status === 200) {
					this.forget(id);
					this.ondone(request.response as MediaView);
				} else {
					const { title = 'It was not taken.' } = (request.response ?? {}) as { title?: string };
					this.set(id, { problem: title });
				}
				resolve();
			};
			request.onerror = () => {
				this.set(id, { problem: 'Anbau cannot be reached; it was not taken.' });
				resolve();
			};
			request.onabort = () => resolve();
			request.send(file);
		});
	}
}
