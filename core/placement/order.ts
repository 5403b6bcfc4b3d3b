/** Something that has a place in the order of a hook. */
export interface Ordered {
	priority: number;
	/** When the placement was made, an ISO instant; null for a house tab, which stands before pieces of its number. */
	since: string | null;
	/** Tells apart what was made at the same instant. */
	id: string;
}

/** The order on a hook: priority, then house before piece, then the older placement, then the id. */
export function byOrder(a: Ordered, b: Ordered): number {
	if (a.priority !== b.priority) return a.priority - b.priority;
	if ((a.since === null) !== (b.since === null)) return a.since === null ? -1 : 1;
	const [ageA, ageB] = [a.since ?? '', b.since ?? ''];
	if (ageA !== ageB) return ageA < ageB ? -1 : 1;
	return a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
}

/** The priorities that there are: whole numbers from the first to the last. */
export const FIRST_PRIORITY = 1;
export const LAST_PRIORITY = 999;
/** How far behind the last one a piece is put that goes to the end. */
const STEP = 10;

/**
 * The new priorities after something is dropped at a place of a list: `priorities` are those of the others in their
 * order, `at` how many of them stand before it. The dropped one gets the number midway between its neighbours; where
 * there is none, as few neighbours as possible are renumbered. Answers the priorities of all by their place in the
 * list, the dropped one at `at`. A list longer than there are priorities is a RangeError.
 */
export function dropAt(priorities: readonly number[], at: number): number[] {
	if (priorities.length >= LAST_PRIORITY) throw new RangeError('there are more things on the hook than priorities');
	const list = [...priorities.slice(0, at), Number.NaN, ...priorities.slice(at)];
	for (let size = 1; size <= list.length; size++) {
		const from = bestWindow(list, at, size);
		if (from === null) continue;
		spread(list, from, size);
		return list;
	}
	throw new RangeError('the list has no room for it');
}

/** The stretch of `size` places round `at` that has most room between its neighbours; null when none has enough. */
function bestWindow(list: readonly number[], at: number, size: number): number | null {
	let best: { from: number; room: number } | null = null;
	for (let from = Math.max(0, at - size + 1); from <= Math.min(at, list.length - size); from++) {
		const [low, high] = bounds(list, from, size);
		const room = high - low - 1;
		if (room >= size && room > (best?.room ?? 0)) best = { from, room };
	}
	return best?.from ?? null;
}

/** The numbers between which a stretch lies, themselves taken. */
function bounds(list: readonly number[], from: number, size: number): [number, number] {
	return [list[from - 1] ?? FIRST_PRIORITY - 1, list[from + size] ?? LAST_PRIORITY + 1];
}

function spread(list: number[], from: number, size: number): void {
	const [low, high] = bounds(list, from, size);
	const isLast = from + size === list.length;
	const step = isLast ? Math.min(STEP, (high - low) / (size + 1)) : (high - low) / (size + 1);
	for (let i = 0; i < size; i++) list[from + i] = Math.floor(low + step * (i + 1));
}
