<script lang="ts">
	import type { HookView } from '$lib/contracts.js';
	import { formOf } from '@anbau/core/pieces';
	import { counted } from '$lib/desk/words.js';
	import Peg from '$lib/ui/Peg.svelte';

	/** One hook of the list: where it was seen last. */
	interface Props {
		hook: HookView;
		pieces: number;
		chosen: boolean;
		onchoose: () => void;
	}
	let { hook, pieces, chosen, onchoose }: Props = $props();
	const pages = $derived(hook.sightings.length);
	const found = $derived(hook.sightings.filter((one) => one.found > 0).length);
	const several = $derived(hook.sightings.some((one) => one.found > 1));
	const state = $derived.by(() => {
		if (formOf(hook.id) === 'edge') return { words: 'on every page', bad: false };
		if (pages === 0) return { words: 'not looked for yet', bad: false };
		if (found === 0) return { words: `on none of ${pages} pages`, bad: pieces > 0 };
		return { words: `on ${found} of ${pages} pages${several ? ', more than once' : ''}`, bad: several };
	});
</script>

<li>
	<button
		type="button"
		class={[
			'rounded-field grid w-full grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 px-2 py-1 text-left sm:grid-cols-[9rem_minmax(0,1fr)_auto_7.5rem]',
			chosen ? 'bg-moss-soft' : 'hover:bg-base-200'
		]}
		aria-pressed={chosen}
		onclick={onchoose}
	>
		<span class="flex items-center gap-2 font-mono text-[13px]"><Peg filled={found > 0} />{hook.id}</span>
		<span class="text-muted truncate text-[13px] max-sm:hidden"
			>{hook.title}{hook.binding ? ` · ${hook.binding.selector}` : ''}</span
		>
		<span
			class={['text-right text-[13px] whitespace-nowrap', state.bad ? 'text-secondary font-semibold' : 'text-muted']}
			>{state.words}</span
		>
		<span class="text-muted text-right text-[13px] max-sm:hidden">{pieces > 0 ? counted(pieces, 'placement') : ''}</span
		>
	</button>
</li>
