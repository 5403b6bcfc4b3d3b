<script lang="ts">
	import type { Placement } from '@anbau/core/pieces';
	import type { PageDocument } from '@anbau/core/placement';

	/** The order on a hook of the page looked at, and the piece's own number there. */
	interface Props {
		placement: Placement;
		document: PageDocument | null;
		slug: string;
		onpriority: (priority: number) => void;
	}
	let { placement, document, slug, onpriority }: Props = $props();
	let typed = $derived(String(placement.priority));
	const valid = $derived(/^\d{1,3}$/.test(typed) && Number(typed) >= 1);
	const entries = $derived(
		placement.hook === 'tabs'
			? (document?.tabs ?? [])
					.filter((tab) => !tab.hidden)
					.map((tab) => ({
						name: tab.heading,
						priority: tab.priority,
						own: tab.piece === slug,
						house: tab.source === 'house'
					}))
			: (document?.hooks[placement.hook] ?? []).map((entry) => ({
					name: entry.piece,
					priority: entry.priority,
					own: entry.piece === slug,
					house: false
				}))
	);
</script>

<label class="flex items-center gap-2 font-medium">
	Priority
	<input
		class="input input-sm w-20 font-mono"
		inputmode="numeric"
		value={typed}
		aria-invalid={!valid}
		oninput={(event) => {
			typed = event.currentTarget.value.trim();
			if (valid) onpriority(Number(typed));
		}}
	/>
	<span class="text-muted text-[13px] font-normal">lower comes first</span>
</label>
{#if !valid}<p class="text-error mt-1 text-[13px]">A whole number from 1 to 999.</p>{/if}
<ol class="mt-2 grid gap-1" aria-label="On this page">
	{#each entries as entry, i (i)}
		<li class={['rounded-field flex items-center gap-2 px-2 py-1', entry.own && 'bg-moss-soft font-semibold']}>
			<span class="text-muted w-8 font-mono text-[13px]">{entry.priority}</span>{entry.name}{#if entry.house}<span
					class="text-muted text-[13px]">of the theme</span
				>{/if}
		</li>
	{:else}
		<li class="text-muted text-[13px]">Nothing hangs here on the page looked at.</li>
	{/each}
</ol>
