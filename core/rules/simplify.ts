import { isLeaf, type Rule } from './grammar.js';

/**
 * An equal rule without needless nesting: groups of one kind merged, repeats and double negations gone, constants
 * folded. It holds for exactly the same pages.
 */
export function simplify(rule: Rule): Rule {
	if (isLeaf(rule)) return rule;
	if ('not' in rule) return simplifyNot(simplify(rule.not));
	return 'all' in rule ? simplifyGroup('all', rule.all) : simplifyGroup('any', rule.any);
}

function simplifyNot(inner: Rule): Rule {
	if (isConstant(inner, 'all')) return { any: [] };
	if (isConstant(inner, 'any')) return { all: [] };
	return !isLeaf(inner) && 'not' in inner ? inner.not : { not: inner };
}

function simplifyGroup(kind: 'all' | 'any', rules: Rule[]): Rule {
	const other = kind === 'all' ? 'any' : 'all';
	const kept = new Map<string, Rule>();
	for (const child of rules.map(simplify)) {
		if (isConstant(child, other)) return child;
		for (const part of membersOf(child, kind)) kept.set(JSON.stringify(part), part);
	}
	const parts = [...kept.values()];
	const [only] = parts;
	if (parts.length === 1 && only) return only;
	return kind === 'all' ? { all: parts } : { any: parts };
}

/** The members of a group of the given kind; any other rule is its own only member. */
export function membersOf(rule: Rule, kind: 'all' | 'any'): Rule[] {
	if (kind === 'all' && 'all' in rule) return rule.all;
	if (kind === 'any' && 'any' in rule) return rule.any;
	return [rule];
}

function isConstant(rule: Rule, kind: 'all' | 'any'): boolean {
	return kind === 'all' ? 'all' in rule && rule.all.length === 0 : 'any' in rule && rule.any.length === 0;
}
