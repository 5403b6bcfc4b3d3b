import { describe, expect, it } from 'vitest';
import type { Leaf } from '@anbau/core/rules';
import { addLeaf, chipText } from './chips.js';
import { History } from './history.js';

describe('undo and redo', () => {
	it('take quick edits of one place as one step, and forget the future after an edit', () => {
		const history = new History<string>();
		history.remember('', 'body', 0);
		history.remember('a', 'body', 300);
		history.remember('ab', 'name', 500);
		history.remember('abc', 'name', 5000);
		expect(history.undo('abcd')).toBe('abc');
		expect(history.undo('abc')).toBe('ab');
		expect(history.undo('ab')).toBe('');
		expect(history.undo('')).toBeNull();
		expect(history.redo('')).toBe('ab');
		history.remember('ab', 'note', 9000);
		expect(history.canRedo).toBe(false);
		expect(history.canUndo).toBe(true);
	});
});

describe('chips', () => {
	const names = { category: (key: string) => (key === 'seeds' ? 'Seeds' : undefined), product: () => undefined };
	it.each<[Leaf, string]>([
		[{ field: 'tag', operator: 'startsWith', value: 'lead:' }, 'tag starts with lead:'],
		[{ field: 'category', operator: 'in', value: 'seeds' }, 'in Seeds'],
		[{ field: 'category', operator: 'only', value: 'gone' }, 'directly in gone'],
		[{ field: 'stock', operator: 'lt', value: 5 }, 'stock below 5'],
		[{ field: 'attribute.sowing_depth', operator: 'has', value: true }, 'has sowing depth']
	])('%j reads “%s”', (leaf, text) => expect(chipText(leaf, names)).toBe(text));

	it('of products are one, and nothing is added twice', () => {
		const a: Leaf = { field: 'product', operator: 'in', value: ['a'] };
		const tag: Leaf = { field: 'tag', operator: 'is', value: 'x' };
		expect(addLeaf([a], { ...a, value: ['b'] })).toEqual([{ ...a, value: ['a', 'b'] }]);
		expect(addLeaf([tag], tag)).toEqual([tag]);
	});
});
