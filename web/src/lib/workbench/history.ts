/** How long edits of the same place count as one step. */
const STEP = 900;

/** The states of a document that undo and redo walk through; quick edits of one place are one step. */
export class History<T> {
	private past: T[] = [];
	private future: T[] = [];
	private lastPlace = '';
	private lastTime = 0;

	get canUndo(): boolean {
		return this.past.length > 0;
	}

	get canRedo(): boolean {
		return this.future.length > 0;
	}

	/** Remembers the state before an edit of a place at a time in milliseconds. */
	remember(before: T, place: string, time: number): void {
		const goesOn = place === this.lastPlace && time - this.lastTime < STEP;
		this.lastPlace = place;
		this.lastTime = time;
		this.future = [];
		if (goesOn && this.past.length > 0) return;
		this.past.push(before);
		if (this.past.length > 200) this.past.shift();
	}

	/** The state to go back to from the present one; null when there is none. */
	undo(present: T): T | null {
		const state = this.past.pop();
		if (state === undefined) return null;
		this.future.push(present);
		this.lastPlace = '';
		return state;
	}

	/** The state to go forward to; null when there is none. */
	redo(present: T): T | null {
		const state = this.future.pop();
		if (state === undefined) return null;
		this.past.push(present);
		this.lastPlace = '';
		return state;
	}
}
