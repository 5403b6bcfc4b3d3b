/** A block as rendered; a heading with its level. */
export interface RenderedBlock {
	html: string;
	level: number | null;
}

/**
 * Joins rendered blocks and leaves out each heading that is followed by nothing: by the end, or by a heading of its
 * own or a higher rank before any other content.
 */
export function keepFollowedHeadings(blocks: readonly RenderedBlock[]): string {
	const kept: string[] = [];
	// A heading put here would have something below it if its level is at most this.
	let contentBelow = 0;
	for (const block of [...blocks].reverse()) {
		if (block.level === null) {
			kept.push(block.html);
			contentBelow = Infinity;
		} else {
			if (contentBelow >= block.level) kept.push(block.html);
			// To a heading above, this one is content only if it stays and ranks below that heading.
			contentBelow = Math.min(contentBelow, block.level - 1);
		}
	}
	return kept.reverse().join('');
}
