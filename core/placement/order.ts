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
