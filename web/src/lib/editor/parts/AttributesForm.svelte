<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import { ATTRIBUTE_TYPE_WORDS } from '$lib/desk/words.js';
	import PickList from '$lib/ui/PickList.svelte';
	import Popover from '$lib/ui/Popover.svelte';
	import { useSources } from '../sources.js';
	import type { PartForm } from './partForm.js';

	/** Chooses the attributes of an attribute table or a document list, in their order. */
	let { part, set }: PartForm = $props();
	const sources = useSources();
	const codes = $derived(part.node.attrs.codes as string[]);
	const offered = $derived(
		sources.attributes().filter((one) => part.node.type.name === 'attributeTable' || one.type === 'documents')
	);
	const labelOf = (code: string) => sources.attributes().find((one) => one.code === code)?.label ?? code;
	const search = (text: string) =>
		offered
			.filter(({ label, code }) => `${label} ${code}`.toLowerCase().includes(text.trim().toLowerCase()))
			.map(({ code, label, type }) => ({ value: code, label, hint: ATTRIBUTE_TYPE_WORDS[type] }));
	const toggle = (code: string) =>
		set({ codes: codes.includes(code) ? codes.filter((one) => one !== code) : [...codes, code] });
</script>

<div class="flex flex-wrap items-center gap-1.5">
	{#each codes as code (code)}
		<span class="chip bg-moss-soft text-primary"
			>{labelOf(code)}<button type="button" aria-label={`Without ${labelOf(code)}`} onclick={() => toggle(code)}
				><X class="size-3.5" /></button
			></span
		>
	{/each}
	<Popover label="Choose attributes" triggerClass="btn btn-sm h-7">
		{#snippet trigger()}<Plus class="size-3.5" />Attributes{/snippet}
		<PickList
			label="Search attributes"
			{search}
			chosen={codes}
			nothing={offered.length === 0 && part.node.type.name === 'documentList'
				? 'No attribute has the type Documents yet; define one on the Attributes screen.'
				: 'No attribute is called so.'}
			onpick={({ value }) => toggle(value)}
		/>
	</Popover>
	{#if codes.length === 0}<span class="text-muted">Shows nothing until an attribute is chosen.</span>{/if}
</div>
