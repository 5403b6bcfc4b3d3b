import type { PieceDocument } from './bodies.js';
import { DEMO_MESSAGES } from './messages.js';
import { DEMO_WATCHED } from './watched.js';
import { DEMO_PLACED } from './placed.js';
import { DEMO_TABS } from './tabs.js';

/** The demo's library, by slug. */
export const DEMO_PIECES: Record<string, PieceDocument> = {
	...DEMO_MESSAGES,
	...DEMO_TABS,
	...DEMO_PLACED,
	...DEMO_WATCHED
};
