import type { Binding, HookBinding } from '@anbau/core/placement';
import { byMarker, type Finder } from './finder.js';
import { foundBy } from './foundBy.js';

/** Where a hook is: an element that is the hook itself, or one that it is bound to. */
type Spot = { element: Element; position: Binding['position'] | null };

/** Finds hooks by marker, by the selector they are bound to, by what they fall back to. */
export function byBinding(root: Document, bindings: Readonly<Record<string, HookBinding>>): Finder {
	const markers = byMarker(root);
	const made: Element[] = [];
	const spot = (hook: string, passed: string[] = []): Spot | null => {
		const marker = markers.at(hook);
		if (marker) return { element: marker, position: null };
		const { binding, fallback } = bindings[hook] ?? {};
		const element = binding && foundBy(root, binding.selector);
		if (element) return { element, position: binding.position };
		return fallback && !passed.includes(fallback) ? spot(fallback, [...passed, hook]) : null;
	};
	return {
		at: (hook) => spot(hook)?.element ?? null,
		holder: (hook) => {
			const found = spot(hook);
			if (!found?.position) return found?.element ?? null;
			const holder = root.createElement('div');
			holder.className = 'anbau-hook';
			holder.dataset.anbauMade = hook;
			found.element[METHODS[found.position]](holder);
			made.push(holder);
			return holder;
		},
		release: () => {
			for (const holder of made.splice(0)) holder.remove();
		}
	};
}

const METHODS = { before: 'before', after: 'after', first: 'prepend', last: 'append' } as const;
