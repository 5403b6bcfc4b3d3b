import type { z } from 'zod';
import { faultText } from '@anbau/core/catalog';
import { LEAF_SCHEMAS, MAX_DEPTH, MAX_LEAVES, type Leaf, type Rule } from './grammar.js';

/** What is wrong with a rule, and where: a JSON pointer (RFC 6901) into it. */
export interface RuleFault {
	at: string;
	message: string;
}

export type RuleReading = { ok: true; rule: Rule } | { ok: false; faults: RuleFault[] };

/**
 * Reads a rule from any JSON value. All faults are reported, each at the leaf or value it concerns; nesting
 * deeper than 6 groups and more than 200 leaves are refused.
 */
export function parseRule(input: unknown): RuleReading {
	const parser = new RuleParser();
	const rule = parser.read(input, '', 0);
	if (parser.leaves > MAX_LEAVES) {
		parser.faults.push({ at: '', message: `has ${parser.leaves} conditions, at most ${MAX_LEAVES} are allowed` });
	}
	return rule && parser.faults.length === 0 ? { ok: true, rule } : { ok: false, faults: parser.faults };
}

class RuleParser {
	readonly faults: RuleFault[] = [];
	leaves = 0;

	read(input: unknown, at: string, depth: number): Rule | null {
		if (typeof input !== 'object' || input === null || Array.isArray(input)) {
			return this.refuse(at, 'must be an object with all, any, not, or field, operator and value');
		}
		const names = Object.keys(input);
		if (names.includes('field')) return this.readLeaf(input as Record<string, unknown>, at);
		const [name] = names;
		if (names.length !== 1 || (name !== 'all' && name !== 'any' && name !== 'not')) {
			return this.refuse(
				at,
				`must have exactly one of all, any and not, or field, operator and value; it has ${listed(names)}`
			);
		}
		if (depth >= MAX_DEPTH)
			return this.refuse(at, `is nested too deep; at most ${MAX_DEPTH} groups may enclose each other`);
		return this.readGroup(name, (input as Record<string, unknown>)[name], at, depth);
	}

	private readGroup(name: 'all' | 'any' | 'not', value: unknown, at: string, depth: number): Rule | null {
		if (name === 'not') {
			const inner = this.read(value, `${at}/not`, depth + 1);
			return inner && { not: inner };
		}
		if (!Array.isArray(value)) return this.refuse(`${at}/${name}`, 'must be a list of rules');
		const rules: Rule[] = [];
		for (const [i, child] of value.entries()) {
			const rule = this.read(child, `${at}/${name}/${i}`, depth + 1);
			if (rule) rules.push(rule);
		}
		return name === 'all' ? { all: rules } : { any: rules };
	}

	private readLeaf(input: Record<string, unknown>, at: string): Leaf | null {
		this.leaves++;
		const field = String(input.field);
		const schema = schemaFor(field);
		if (!schema) {
			const known = Object.keys(LEAF_SCHEMAS).join(', ').replace('attribute', 'attribute.<code>');
			return this.refuse(`${at}/field`, `“${field}” is not a field; the fields are ${known}`);
		}
		const result = schema.safeParse(input);
		if (result.success) return result.data;
		for (const issue of result.error.issues) {
			const path = issue.path.map((step) => `/${String(step)}`).join('');
			this.refuse(at + path, plainMessage(issue));
		}
		return null;
	}

	private refuse(at: string, message: string): null {
		this.faults.push({ at, message });
		return null;
	}
}

function schemaFor(field: string): z.ZodType<Leaf> | undefined {
	const name = field.startsWith('attribute.') ? 'attribute' : field;
	if (name === 'attribute' && field === name) return undefined;
	return Object.hasOwn(LEAF_SCHEMAS, name) ? LEAF_SCHEMAS[name as keyof typeof LEAF_SCHEMAS] : undefined;
}

function plainMessage(issue: z.core.$ZodIssue): string {
	if (issue.code === 'invalid_union') return 'does not fit this field and operator';
	return faultText(issue);
}

function listed(names: string[]): string {
	return names.length === 0 ? 'none' : names.map((name) => `“${name}”`).join(', ');
}
