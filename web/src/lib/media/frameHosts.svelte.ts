import { getContext, setContext } from 'svelte';
import { invalidateAll } from '$app/navigation';
import type { StoreView } from '$lib/contracts.js';
import { request } from '$lib/desk/request.js';

/** The hosts whose frames the store lets in; one more is added at once. */
export interface FrameHosts {
	readonly list: readonly string[];
	add: (host: string) => Promise<void>;
}

const KEY = Symbol('frameHosts');
const NONE: FrameHosts = { list: [], add: () => Promise.reject(new Error('Hosts can be added on the workbench.')) };

/** Gives a screen the hosts of its store. */
export function provideFrameHosts(store: () => StoreView): void {
	setContext<FrameHosts>(KEY, {
		get list() {
			return store().settings.frameHosts;
		},
		add: async (host) => {
			const { settings } = store();
			const frameHosts = [...settings.frameHosts.filter((one) => one !== host), host];
			await request('/api/v1/store', { method: 'PATCH', body: { settings: { ...settings, frameHosts } } });
			await invalidateAll();
		}
	});
}

/** The hosts of the screen that a component stands on. */
export function useFrameHosts(): FrameHosts {
	return getContext<FrameHosts | undefined>(KEY) ?? NONE;
}
