import { PAGE_KINDS, type AttributeDefinition } from '@anbau/core/catalog';
import type { Leaf } from '@anbau/core/rules';
import { PAGE_WORDS } from '$lib/desk/words.js';

/** Conditions that are not about what the catalogue's index finds: attributes that a product has, and pages. */
export function otherLeaves(
	text: string,
	attributes: readonly AttributeDefinition[]
): { label: string; group: string; leaf: Leaf }[] {
	const wanted = text.trim().toLowerCase();
	const isWanted = ({ label }: { label: string }) => label.toLowerCase().includes(wanted);
	const ofAttributes = attributes.map(({ code, label }) => ({
		label: `has ${label}`,
		group: 'Attributes',
		leaf: { field: `attribute.${code}`, operator: 'has', value: true } as Leaf
	}));
	const ofKinds = PAGE_KINDS.filter((kind) => kind !== 'product').map((kind) => ({
		label: `every ${PAGE_WORDS[kind].toLowerCase()}`,
		group: 'Pages',
		leaf: { field: 'page', operator: 'kind', value: kind } as Leaf
	}));
	const named = { label: `the page “${text.trim()}”`, group: 'Pages', leaf: pageLeaf(text.trim()) };
	return [...[...ofAttributes, ...ofKinds].filter(isWanted), ...(wanted === '' ? [] : [named])].slice(0, 12);
}

const pageLeaf = (key: string): Leaf => ({ field: 'page', operator: 'key', value: key });
