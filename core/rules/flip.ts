import { isLeaf, type Leaf, type Rule } from './grammar.js';

/**
 * The smallest set of leaves whose verdicts must change to turn a rule's verdict round, as JSON pointers in reading
 * order. Null when no change of leaves can do it (an empty group). `verdictOf` tells each leaf's present verdict.
 *
 * A group that must hold as `all` needs every member, as `any` its cheapest one, and the other way round to fail;
 * the leaves of different members are different places, so the cheapest choices add up.
 */
export function smallestFlip(rule: Rule, verdictOf: (leaf: Leaf, at: string) => boolean): string[] | null {
	const costOf = (node: Rule, at: string, wanted: boolean): string[] | null => {
		if (isLeaf(node)) return verdictOf(node, at) === wanted ? [] : [at];
		if ('not' in node) return costOf(node.not, `${at}/not`, !wanted);
		const kind = 'all' in node ? 'all' : 'any';
		const children = 'all' in node ? node.all : node.any;
		const costs = children.map((child, i) => costOf(child, `${at}/${kind}/${i}`, wanted));
		return (kind === 'all') === wanted ? together(costs) : cheapest(costs);
	};
	const holds = costOf(rule, '', true)?.length === 0;
	return costOf(rule, '', !holds);
}

function together(costs: (string[] | null)[]): string[] | null {
	const all: string[] = [];
	for (const cost of costs) {
		if (cost === null) return null;
		all.push(...cost);
	}
	return all;
}

function cheapest(costs: (string[] | null)[]): string[] | null {
	return costs.reduce(
		(best, cost) => (cost !== null && (best === null || cost.length < best.length) ? cost : best),
		null
	);
}
