import { getContext, setContext } from 'svelte';
import type { AttributeDefinition } from '@anbau/core/catalog';
import type { OwnIcon } from '$lib/contracts.js';

/** What a store has for bodies to be made from. */
export interface Sources {
	attributes(): readonly AttributeDefinition[];
	icons(): readonly OwnIcon[];
	/** Uploads an icon; throws when it is refused. */
	addIcon(slug: string, svg: string): Promise<void>;
}

const KEY = Symbol('sources');
const NOTHING: Sources = {
	attributes: () => [],
	icons: () => [],
	addIcon: () => Promise.reject(new Error('Icons can be added on the workbench.'))
};

export function provideSources(sources: Sources): void {
	setContext(KEY, sources);
}

/** The sources of the screen that a component stands on; nothing where a screen has none. */
export function useSources(): Sources {
	return getContext<Sources | undefined>(KEY) ?? NOTHING;
}
