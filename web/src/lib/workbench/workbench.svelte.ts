import type { Piece, Placement } from '@anbau/core/pieces';
import type { PieceView } from '$lib/contracts.js';
import { documentOf } from '$lib/desk/newPiece.js';
import { request, RequestProblem, sentenceOf } from '$lib/desk/request.js';
import { waitingCount } from '$lib/desk/waiting.svelte.js';
import { History } from './history.js';

export type SaveState = 'saved' | 'pending' | 'saving' | 'failed' | 'conflict';

/** How long typing rests before it is saved. */
const PAUSE = 500;

/**
 * One piece on the workbench: its document, saved as it is edited, with undo and redo. A colleague's change in the
 * meantime stops the saving until one of the two versions is chosen; the other stays one undo away.
 */
export class Workbench {
	readonly slug: string;
	piece = $state.raw<Piece>() as Piece;
	on = $state(true);
	state = $state.raw<PieceView['state']>() as PieceView['state'];
	saveState = $state<SaveState>('saved');
	savedAt = $state<Date | null>(null);
	problem = $state('');
	faults = $state.raw<{ at: string; message: string }[]>([]);
	/** A colleague's version, when there is one to choose. */
	theirs = $state.raw<PieceView | null>(null);
	canUndo = $state(false);
	canRedo = $state(false);
	/** Counts the times the document was replaced from outside the editor, so that the editor shows it. */
	replaced = $state(0);

	private version: number;
	private readonly history = new History<Piece>();
	private timer: ReturnType<typeof setTimeout> | undefined;
	private running: Promise<void> = Promise.resolve();

	constructor(view: PieceView) {
		this.slug = view.slug;
		this.version = view.version;
		this.piece = documentOf(view);
		this.on = view.on;
		this.state = view.state;
	}

	/** Changes the document. `place` names what is edited, so that typing there is one step of undo. */
	edit(place: string, piece: Piece): void {
		this.history.remember(this.piece, place, Date.now());
		this.replace(piece);
	}

	/** Changes properties that every kind of piece has. */
	set(
		place: string,
		change: Partial<
			Pick<Piece, 'name' | 'heading' | 'note' | 'icon' | 'style' | 'placements' | 'target' | 'windows' | 'audience'>
		>
	): void {
		this.edit(place, { ...this.piece, ...change });
	}

	setPlacement(index: number, change: Partial<Placement>): void {
		const placements = this.piece.placements.map((one, i) => (i === index ? { ...one, ...change } : one));
		this.set(`placement ${index} ${Object.keys(change).join()}`, { placements });
	}

	undo(): void {
		const state = this.history.undo(this.piece);
		if (state) this.jump(state);
	}

	redo(): void {
		const state = this.history.redo(this.piece);
		if (state) this.jump(state);
	}

	private jump(piece: Piece): void {
		this.replaced++;
		this.replace(piece);
	}

	private replace(piece: Piece): void {
		this.piece = piece;
		this.canUndo = this.history.canUndo;
		this.canRedo = this.history.canRedo;
		if (this.saveState === 'conflict') return;
		this.saveState = 'pending';
		clearTimeout(this.timer);
		this.timer = setTimeout(() => void this.save(), PAUSE);
	}

	/** Saves what is not saved yet, at once, what is typed meanwhile too; answers whether all is saved. */
	async flush(): Promise<boolean> {
		for (let turn = 0; turn < 3 && (this.saveState === 'pending' || this.saveState === 'failed'); turn++) {
			clearTimeout(this.timer);
			await this.save();
		}
		await this.running;
		return this.saveState === 'saved';
	}

	/** Saves run one after the other. */
	private save(): Promise<void> {
		this.running = this.running.then(() => this.saveNow());
		return this.running;
	}

	private async saveNow(): Promise<void> {
		if (this.saveState === 'conflict') return;
		const { piece } = this;
		this.saveState = 'saving';
		try {
			const headers = { 'if-match': `"${this.version}"` };
			this.take(await request<PieceView>(this.path, { method: 'PUT', body: piece, headers }));
			this.problem = '';
			this.faults = [];
			this.saveState = this.piece === piece ? 'saved' : 'pending';
			void waitingCount.refresh().catch(() => undefined);
		} catch (error) {
			this.fail(error);
		}
	}

	private fail(error: unknown): void {
		this.problem = sentenceOf(error);
		this.faults = error instanceof RequestProblem ? error.faults : [];
		const current = error instanceof RequestProblem && error.status === 412 ? error.document.current : undefined;
		this.saveState = current ? 'conflict' : 'failed';
		if (current) this.theirs = current as PieceView;
	}

	private take(view: PieceView): void {
		this.version = view.version;
		this.on = view.on;
		this.state = view.state;
		this.savedAt = new Date();
	}

	/** Keeps the version on this screen and saves it over the colleague's, which the history of the store keeps. */
	async keepMine(): Promise<void> {
		if (!this.theirs) return;
		this.version = this.theirs.version;
		this.theirs = null;
		this.saveState = 'pending';
		await this.flush();
	}

	/** Takes the colleague's version; the one on this screen is one undo away. */
	takeTheirs(): void {
		const { theirs } = this;
		if (!theirs) return;
		this.theirs = null;
		this.version = theirs.version;
		this.history.remember(this.piece, '', Date.now());
		this.saveState = 'saved';
		this.problem = '';
		this.jump(documentOf(theirs));
	}

	/** The off switch acts at once. */
	async turn(on: boolean): Promise<void> {
		await this.flush();
		this.take(await request<PieceView>(this.path, { method: 'PATCH', body: { on } }));
	}

	/** Reads the states again, after a release. */
	async refresh(): Promise<void> {
		this.state = (await request<PieceView>(this.path)).state;
		await waitingCount.refresh();
	}

	private get path(): string {
		return `/api/v1/pieces/${encodeURIComponent(this.slug)}`;
	}
}
