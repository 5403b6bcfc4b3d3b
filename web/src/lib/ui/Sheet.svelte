<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { Dialog } from 'bits-ui';
	import type { Snippet } from 'svelte';

	/** A dialog with its actions at the foot; Esc and the cross close it. */
	interface Props {
		title: string;
		narrow?: boolean;
		onclose: () => void;
		children: Snippet;
		actions: Snippet;
	}
	let { title, narrow = false, onclose, children, actions }: Props = $props();
</script>

<Dialog.Root open onOpenChange={(open) => !open && onclose()}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-50 bg-black/30" />
		<Dialog.Content
			class={[
				'bg-base-100 rounded-box shadow-float fixed top-[6vh] left-1/2 z-50 flex max-h-[88vh] -translate-x-1/2 flex-col',
				narrow ? 'w-[min(32rem,94vw)]' : 'w-[min(64rem,94vw)]'
			]}
		>
			<div class="flex items-center gap-3 px-5 pt-4">
				<Dialog.Title class="font-display min-w-0 flex-1 truncate text-[19px] font-bold">{title}</Dialog.Title>
				<Dialog.Close class="btn btn-ghost btn-sm btn-square" aria-label="Close"><X class="size-4" /></Dialog.Close>
			</div>
			<div class="min-h-0 flex-1 overflow-y-auto px-5 py-3">{@render children()}</div>
			<div class="border-base-300 flex gap-2 border-t px-5 py-3">{@render actions()}</div>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
