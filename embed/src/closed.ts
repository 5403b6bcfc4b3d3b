import { hashOf } from '@anbau/core/placement/onPage';

const STORED = 'anbau-closed';
/** How many closed messages a browser remembers. */
const REMEMBERED = 100;

interface Entry {
	piece: string;
	html: string;
}

/** What a closed message is remembered by: its words, so that it comes back when they change. */
function idOf({ piece, html }: Entry): string {
	return `${piece}:${hashOf(html.replace(/<[^>]*>/g, ''))}`;
}

function closed(): string[] {
	try {
		const stored: unknown = JSON.parse(localStorage.getItem(STORED) ?? '[]');
		return Array.isArray(stored) ? stored.map(String) : [];
	} catch {
		// A browser that lets nothing be stored shows the message again.
		return [];
	}
}

/** Whether the visitor closed this message. */
export function isClosed(entry: Entry): boolean {
	return closed().includes(idOf(entry));
}

/** Remembers that the visitor closed this message. */
export function remember(entry: Entry): void {
	try {
		localStorage.setItem(STORED, JSON.stringify([...closed(), idOf(entry)].slice(-REMEMBERED)));
	} catch {
		// It is closed for this page at least.
	}
}
