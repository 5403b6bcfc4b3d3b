const STORED = 'anbau-closed';
/** How many closed messages a browser remembers. */
const REMEMBERED = 100;

interface Entry {
	piece: string;
	html: string;
}

/** What a closed message is remembered by: its words, so that it comes back when they change. */
function idOf({ piece, html }: Entry): string {
	let hash = 5381;
	for (const char of html.replace(/<[^>]*>/g, '')) hash = ((hash * 33) ^ char.charCodeAt(0)) >>> 0;
	return `${piece}:${hash.toString(36)}`;
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
	return entry.html.includes('data-anbau-closable') && closed().includes(idOf(entry));
}

/** Remembers that the visitor closed this message. */
export function remember(entry: Entry): void {
	try {
		localStorage.setItem(STORED, JSON.stringify([...closed(), idOf(entry)].slice(-REMEMBERED)));
	} catch {
		// It is closed for this page at least.
	}
}
