<script lang="ts">
	import { Popover } from 'bits-ui';
	import type { Snippet } from 'svelte';

	/** A control that opens something beside it; Esc and a click elsewhere close it and give the focus back. */
	interface Props {
		label: string;
		triggerClass?: string;
		contentClass?: string;
		open?: boolean;
		/** Takes the focus when it closes; without it the trigger gets it back. */
		onclosed?: () => void;
		trigger: Snippet;
		children: Snippet<[() => void]>;
	}
	let {
		label,
		triggerClass = 'word-control',
		contentClass = 'w-72',
		open = $bindable(false),
		onclosed,
		trigger,
		children
	}: Props = $props();
</script>

<Popover.Root bind:open
	><Popover.Trigger class={triggerClass} aria-label={label}>{@render trigger()}</Popover.Trigger><Popover.Portal
		><Popover.Content
			sideOffset={6}
			align="start"
			collisionPadding={12}
			class={[
				'bg-base-100 border-base-300 shadow-float rounded-box z-50 max-h-[min(76vh,var(--bits-popover-content-available-height))] overflow-auto border p-3 outline-none',
				contentClass
			]}
			onCloseAutoFocus={(event) => {
				if (!onclosed) return;
				event.preventDefault();
				onclosed();
			}}
			aria-label={label}>{@render children(() => (open = false))}</Popover.Content
		></Popover.Portal
	></Popover.Root
>
