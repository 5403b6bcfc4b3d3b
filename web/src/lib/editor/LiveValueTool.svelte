<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import Plus from '@lucide/svelte/icons/plus';
	import { liveValueLabel, PRODUCT_VALUES } from '@anbau/core/pieces';
	import { catalogIndex } from '$lib/reach/catalogIndex.js';
	import Popover from '$lib/ui/Popover.svelte';

	/** Puts a live value in, chosen by its label: the product's own, or the rest of a tag that the catalogue has. */
	let { editor }: { editor: Editor } = $props();
	let open = $state(false);
	let text = $state('');
	let beginnings = $state.raw<string[]>([]);
	const all = $derived([
		...PRODUCT_VALUES,
		...beginnings.map((beginning) => ({ name: `tag.${beginning}`, label: liveValueLabel(`tag.${beginning}`) }))
	]);
	const found = $derived(all.filter(({ label }) => label.toLowerCase().includes(text.trim().toLowerCase())));

	$effect(() => {
		if (!open) return;
		text = '';
		void catalogIndex.ask('beginnings', {}).then((answer) => (beginnings = answer.map((one) => one.beginning)));
	});

	function insert(name: string, close: () => void) {
		close();
		editor.chain().focus().insertContent({ type: 'liveValue', attrs: { name } }).run();
	}
</script>

<Popover
	onclosed={() => editor.commands.focus()}
	label="Put in a live value"
	bind:open
	triggerClass="btn btn-ghost btn-sm text-primary h-8 min-h-8 font-semibold whitespace-nowrap"
>
	{#snippet trigger()}<Plus class="size-4" />Live value{/snippet}
	{#snippet children(close)}
		<input
			class="input input-sm mb-2 w-full"
			placeholder="Search live values"
			aria-label="Search live values"
			bind:value={text}
			onkeydown={(event) => {
				const [first] = found;
				if (event.key === 'Enter' && first) insert(first.name, close);
			}}
		/>
		<ul class="grid" aria-label="Live values">
			{#each found as { name, label } (name)}
				<li>
					<button
						type="button"
						class="rounded-field hover:bg-base-200 w-full px-2 py-1.5 text-left"
						onclick={() => insert(name, close)}>{label}</button
					>
				</li>
			{:else}
				<li class="text-muted px-2 py-1.5">Nothing is called so.</li>
			{/each}
		</ul>
		<p class="text-muted mt-2 text-[13px]">
			Filled in on every page with that product’s own value. Where a product has none, the paragraph stays away.
		</p>
	{/snippet}
</Popover>
