<script lang="ts">
	import { formOf, type Placement } from '@anbau/core/pieces';
	import { entriesOn, type PageDocument } from '@anbau/core/placement';

	/** The order on a hook of the page looked at, and the piece's own number there. */
	interface Props {
		placement: Placement;
		document: PageDocument | null;
		slug: string;
		nameOf: (slug: string) => string;
		onpriority: (priority: number) => void;
	}
	let { placement, document, slug, nameOf, onpriority }: Props = $props();
	let typed = $derived(String(placement.priority));
	const valid = $derived(/^\d{1,3}$/.test(typed) && Number(typed) >= 1);
	const entries = $derived(
		document && document.page.kind === placement.page ? entriesOn(document, placement.hook) : []
	);
	const isTabs = $derived(formOf(placement.hook) === 'tabs');
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
		<li
			class={['rounded-field flex items-center gap-2 px-2 py-1', entry.piece === slug && 'bg-moss-soft font-semibold']}
		>
			<span class="text-muted w-8 font-mono text-[13px]">{entry.priority}</span>{isTabs
				? entry.heading
				: nameOf(entry.piece ?? '')}{#if isTabs && entry.piece === undefined}<span class="text-muted text-[13px]"
					>of the theme</span
				>{/if}
		</li>
	{:else}
		<li class="text-muted text-[13px]">Nothing hangs here on the page looked at.</li>
	{/each}
</ol>
<p class="mt-2 text-[13px]">
	<a class="link" href={`/plan?kind=${placement.page}&hook=${placement.hook}`}>The whole page as a plan</a>
</p>
