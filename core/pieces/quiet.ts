/** A block as rendered; of a heading its level, of a divider that it is one. */
export interface RenderedBlock {
	html: string;
	kind: number | 'divider' | null;
}

/**
 * Joins rendered blocks and leaves out each heading that is followed by nothing: by the end, or by a heading of its
 * own or a higher rank before any other content; `followed` tells that something stands below the last block. Where
 * something went, dividers that no longer divide go too.
 */
export function keepFollowedHeadings(
	blocks: readonly RenderedBlock[],
	{ somethingWent, followed }: { somethingWent: boolean; followed: boolean }
): string {
	const kept: RenderedBlock[] = [];
	// A heading put here would have something below it if its level is at most this.
	let contentBelow = followed ? Infinity : 0;
	for (const block of [...blocks].reverse()) {
		if (block.kind === null) {
			kept.push(block);
			contentBelow = Infinity;
		} else if (block.kind === 'divider') {
			kept.push(block);
			contentBelow = 0;
		} else {
			if (contentBelow >= block.kind) kept.push(block);
			// To a heading above, this one is content only if it stays and ranks below that heading.
			contentBelow = Math.min(contentBelow, block.kind - 1);
		}
	}
	kept.reverse();
	const left = somethingWent ? kept.filter((block, i) => block.kind !== 'divider' || divides(kept, i)) : kept;
	return left.every((block) => block.kind === 'divider') ? '' : left.map((block) => block.html).join('');
}

/** Whether a divider has content before it and, before the next divider, behind it. */
function divides(blocks: readonly RenderedBlock[], at: number): boolean {
	const isContent = ({ kind }: RenderedBlock) => kind !== 'divider';
	const next = blocks[at + 1];
	return blocks.slice(0, at).some(isContent) && next !== undefined && isContent(next);
}
