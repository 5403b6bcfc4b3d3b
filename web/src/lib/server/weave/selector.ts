import { load } from 'cheerio';
import { parse, type Selector } from 'css-what';
import { Problem } from '../problem.js';

/** Pseudo-classes that the parser knows and no browser does. */
const FOREIGN = new Set(
	(
		'first last eq nth gt lt even odd contains icontains header parent selected input button checkbox file image ' +
		'password radio reset submit text'
	).split(' ')
);

const COMBINATORS = new Set<string>(['child', 'parent', 'descendant', 'adjacent', 'sibling', 'column-combinator']);

/** Why a text is no CSS selector that a browser takes; null when it is one. */
export function selectorFault(selector: string): string | null {
	try {
		const parsed = parse(selector);
		const [last] = parsed.map((parts) => parts.at(-1)).filter((part) => part && COMBINATORS.has(part.type));
		if (last) return 'ends before it says what it is to find';
		const foreign = parsed.flat().flatMap(foreignNames)[0];
		if (foreign !== undefined) return `uses “:${foreign}”, which browsers do not know`;
		load('')(selector);
		return null;
	} catch (error) {
		return `is no CSS selector: ${error instanceof Error ? error.message : String(error)}`;
	}
}

function foreignNames(part: Selector): string[] {
	if (part.type !== 'pseudo') return [];
	const inside = Array.isArray(part.data) ? part.data.flat().flatMap(foreignNames) : [];
	return FOREIGN.has(part.name) ? [part.name, ...inside] : inside;
}

/** Refuses a selector that no browser would take, with a pointer to where it stands. */
export function checkSelector(selector: string, at: string): void {
	const message = selectorFault(selector);
	if (message !== null) throw new Problem('invalid', 422, 'The selector cannot be taken as it is.', [{ at, message }]);
}
