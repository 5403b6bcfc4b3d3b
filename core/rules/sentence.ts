import { isLeaf, type Leaf, type Rule } from './grammar.js';
import { membersOf, simplify } from './simplify.js';

/** How the chips of one stretch of the sentence go together. */
export type Joining = 'any' | 'all';

/** Chips that are joined: `with any of [a] [b]`. */
export interface Stretch {
	joining: Joining;
	leaves: Leaf[];
}

/**
 * A target as the sentence a person edits: `Reaches products with any of […] that also have all of […], but never
 * […]`, or one of the plain scopes. `none` is a piece whose target has not been chosen.
 */
export type Sentence =
	| { scope: 'none' }
	| { scope: 'every' }
	| { scope: 'byHand' }
	| { scope: 'some'; first: Stretch; also: Stretch; never: Leaf[] };

/** An empty sentence about some products, to begin from. */
export function emptySentence(): Extract<Sentence, { scope: 'some' }> {
	return { scope: 'some', first: { joining: 'any', leaves: [] }, also: { joining: 'all', leaves: [] }, never: [] };
}

/** A sentence's target; null where nothing has been chosen yet. Stretches without chips say nothing. */
export function fromSentence(sentence: Sentence): Rule | null {
	if (sentence.scope === 'none') return null;
	if (sentence.scope === 'every') return { all: [] };
	if (sentence.scope === 'byHand') return { any: [] };
	const { first, also, never } = sentence;
	if (first.leaves.length + also.leaves.length + never.length === 0) return null;
	return simplify({ all: [...stretchRules(first), ...stretchRules(also), ...never.map((leaf) => ({ not: leaf }))] });
}

function stretchRules(stretch: Stretch): Rule[] {
	if (stretch.leaves.length === 0) return [];
	return stretch.joining === 'all' ? stretch.leaves : [{ any: stretch.leaves }];
}

/** A target as a sentence; null when it nests in a way that the sentence has no words for. */
export function toSentence(target: Rule | null): Sentence | null {
	if (target === null) return { scope: 'none' };
	const rule = simplify(target);
	if ('all' in rule && rule.all.length === 0) return { scope: 'every' };
	if ('any' in rule && rule.any.length === 0) return { scope: 'byHand' };
	const sentence = emptySentence();
	const single: Leaf[] = [];
	const choices: Leaf[][] = [];
	for (const part of membersOf(rule, 'all')) {
		if (isLeaf(part)) single.push(part);
		else if ('any' in part && part.any.every(isLeaf)) choices.push(part.any.filter(isLeaf));
		else if ('not' in part) {
			const leaves = membersOf(part.not, 'any');
			if (!leaves.every(isLeaf)) return null;
			sentence.never.push(...leaves.filter(isLeaf));
		} else return null;
	}
	return arrange(sentence, single, choices);
}

function arrange(sentence: Extract<Sentence, { scope: 'some' }>, single: Leaf[], choices: Leaf[][]): Sentence | null {
	const [first, second, third] = choices;
	if (third || (second && single.length > 0)) return null;
	if (first) {
		sentence.first = { joining: 'any', leaves: first };
		sentence.also = second ? { joining: 'any', leaves: second } : { joining: 'all', leaves: single };
	} else {
		sentence.first = { joining: single.length > 1 ? 'all' : 'any', leaves: single };
	}
	return sentence;
}
