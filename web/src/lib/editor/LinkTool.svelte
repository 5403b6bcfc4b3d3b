<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import Link from '@lucide/svelte/icons/link';
	import { hrefFault, textFault } from '@anbau/core/pieces';
	import Popover from '$lib/ui/Popover.svelte';

	/** Makes a link of the selected text, or changes the one that the cursor is in. */
	let { editor, href }: { editor: Editor; href: string | null } = $props();
	let open = $state(false);
	let address = $state('');
	const fault = $derived(address === '' ? null : (textFault(address) ?? hrefFault(address)));
	$effect(() => {
		if (open) address = href ?? '';
	});

	function apply(close: () => void) {
		if (fault) return;
		const chain = editor.chain().focus().extendMarkRange('link');
		if (address === '') chain.unsetLink().run();
		else if (editor.state.selection.empty && href === null)
			chain.insertContent({ type: 'text', text: address, marks: [{ type: 'link', attrs: { href: address } }] }).run();
		else chain.setLink({ href: address }).run();
		close();
	}
</script>

<Popover
	onclosed={() => editor.commands.focus()}
	label="Link"
	bind:open
	triggerClass={`btn btn-ghost btn-sm btn-square h-8 min-h-8 ${href === null ? '' : 'bg-moss-soft text-primary'}`}
>
	{#snippet trigger()}<Link class="size-4" />{/snippet}
	{#snippet children(close)}
		<form
			class="grid gap-2"
			onsubmit={(event) => {
				event.preventDefault();
				apply(close);
			}}
		>
			<label class="grid gap-1 font-medium"
				>Leads to<input
					class="input input-sm w-full"
					placeholder="/pages/delivery"
					bind:value={address}
					aria-invalid={fault !== null}
				/></label
			>
			{#if fault}<p class="text-error text-[13px]">This {fault}.</p>{/if}
			<div class="flex gap-2">
				<button class="btn btn-primary btn-sm" disabled={fault !== null}>Set link</button>
				{#if href !== null}<button type="button" class="btn btn-sm" onclick={() => ((address = ''), apply(close))}
						>Remove link</button
					>{/if}
			</div>
		</form>
	{/snippet}
</Popover>
