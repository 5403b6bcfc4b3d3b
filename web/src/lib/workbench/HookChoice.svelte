<script lang="ts">
	import { untrack } from 'svelte';
	import { PAGE_KINDS, type PageKind } from '@anbau/core/catalog';
	import { kindFault, type PieceKind } from '@anbau/core/pieces';
	import type { ThemeHook } from '@anbau/core/placement';
	import { PAGE_WORDS } from '$lib/desk/words.js';
	import HookPicker from './HookPicker.svelte';

	/** Chooses a kind of page and a hook on it. */
	interface Props {
		page: PageKind;
		chosen: string | null;
		kind: PieceKind;
		hooks: readonly ThemeHook[];
		onpick: (page: PageKind, hook: string) => void;
	}
	let { page, chosen, kind, hooks, onpick }: Props = $props();
	let shown = $state<PageKind>(untrack(() => page));
</script>

<div class="mb-2 flex flex-wrap gap-1" role="group" aria-label="Kind of page">
	{#each PAGE_KINDS as one (one)}
		<button
			type="button"
			class={['btn btn-xs', one === shown && 'bg-moss-soft text-primary']}
			aria-pressed={one === shown}
			onclick={() => (shown = one)}>{PAGE_WORDS[one]}</button
		>
	{/each}
</div>
<HookPicker
	page={shown}
	chosen={shown === page ? chosen : null}
	{hooks}
	takes={(hook) => kindFault(kind, hook) === null}
	onpick={(hook) => onpick(shown, hook)}
/>
