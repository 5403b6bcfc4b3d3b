<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import Plus from '@lucide/svelte/icons/plus';
	import { liveValueLabel, PLAIN_VALUES } from '@anbau/core/pieces';
	import { catalogIndex } from '$lib/reach/catalogIndex.js';
	import PickList from '$lib/ui/PickList.svelte';
	import Popover from '$lib/ui/Popover.svelte';
	import { useSources } from './sources.js';

	/** Puts a live value in, chosen by its label: of the product, an attribute, delivery, or the rest of a tag. */
	let { editor }: { editor: Editor } = $props();
	const sources = useSources();
	let open = $state(false);
	let beginnings = $state.raw<{ beginning: string }[]>([]);

	$effect(() => {
		if (open) void catalogIndex.ask('beginnings', {}).then((found) => (beginnings = found));
	});

	function search(text: string) {
		const attributes = sources.attributes().map(({ code, label }) => ({
			value: `attribute.${code}`,
			label: liveValueLabel(`attribute.${code}`, () => label)
		}));
		const tags = beginnings.map(({ beginning }) => `tag.${beginning}`);
		const all = [
			...PLAIN_VALUES.map(({ name, label }) => ({ value: name, label })),
			...attributes,
			...tags.map((name) => ({ value: name, label: liveValueLabel(name) }))
		];
		const wanted = text.trim().toLowerCase();
		return all.filter(({ label }) => label.toLowerCase().includes(wanted));
	}

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
		<PickList label="Search live values" {search} onpick={({ value }) => insert(value, close)} />
		<p class="text-muted mt-2 text-[13px]">
			Filled in on every page with that product’s own value. Where a product has none, the paragraph stays away.
		</p>
	{/snippet}
</Popover>
