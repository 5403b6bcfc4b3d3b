import type { Memory } from './memory.js';

const CLOSED = 'closed';
/** How many closed messages a browser remembers, and how much of each. */
const REMEMBERED = 100;
const WORDS = 300;

/** What a closed message is remembered by: its words, so that it comes back when they change. */
export const wordsOf = ({ piece, html }: { piece: string; html: string }): string =>
	`${piece}:${html.replace(/<[^>]*>/g, '').slice(0, WORDS)}`;

/** Whether the visitor closed the message of these words. */
export const isClosed = ({ recall }: Memory, words: string): boolean => recall<string[]>(CLOSED, []).includes(words);

/** Remembers that the visitor closed the message of these words. */
export const remember = ({ recall, keep }: Memory, words: string): void =>
	keep(CLOSED, [...recall<string[]>(CLOSED, []), words].slice(-REMEMBERED));
