<script lang="ts">
	import { counted } from '$lib/desk/words.js';

	/** What can be done with several pieces at once. */
	interface Props {
		count: number;
		onturn: (on: boolean) => void;
		onremove: () => void;
		onclear: () => void;
	}
	let { count, onturn, onremove, onclear }: Props = $props();
</script>

<div
	class="bg-moss-soft rounded-box mt-3 flex flex-wrap items-center gap-2 px-4 py-2"
	role="toolbar"
	aria-label="Chosen pieces"
>
	<b>{counted(count, 'piece')} chosen</b>
	<button class="btn btn-sm" onclick={() => onturn(true)}>Switch on</button>
	<button class="btn btn-sm" onclick={() => onturn(false)}>Switch off</button>
	<button class="btn btn-sm" onclick={onremove}>Delete</button>
	<button class="btn btn-ghost btn-sm ml-auto" onclick={onclear}>Choose none</button>
</div>
