import { Problem } from './problem.js';

/** How much text is parsed at a time. */
const PIECE = 1 << 18;

/** Decodes UTF-8 strictly, and gathers small chunks so that the text is parsed in pieces of a size that pays. */
export class Utf8Pieces {
	private readonly decoder = new TextDecoder('utf-8', { fatal: true, ignoreBOM: true });
	private chunks: Uint8Array[] = [];
	private size = 0;
	private offset = 0;

	push(chunk: Uint8Array): string {
		this.chunks.push(chunk);
		this.size += chunk.byteLength;
		return this.size < PIECE ? '' : this.decode(true);
	}

	end(): string {
		return this.decode(false);
	}

	private decode(stream: boolean): string {
		const bytes = Buffer.concat(this.chunks);
		this.chunks = [];
		this.size = 0;
		try {
			const text = this.decoder.decode(bytes, { stream });
			this.offset += bytes.byteLength;
			return text;
		} catch {
			throw new Problem('invalid', 422, 'The file is not UTF-8; save it as UTF-8 and send it again.', [
				{ at: `byte ${this.offset} and later`, message: 'has bytes that are not UTF-8' }
			]);
		}
	}
}
