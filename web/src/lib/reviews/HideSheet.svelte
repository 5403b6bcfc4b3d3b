<script lang="ts">
	import { counted } from '$lib/desk/words.js';
	import Sheet from '$lib/ui/Sheet.svelte';

	/** Asks why reviews are hidden; the reason is kept with them, customers do not see it. */
	let { count, onhide, onclose }: { count: number; onhide: (reason: string) => void; onclose: () => void } = $props();
	const REASONS = ['Not about the product', 'Names a person', 'Offends', 'Advertising', 'Written twice'];
	let reason = $state('');
</script>

<Sheet title={`Hide ${counted(count, 'review')}: why?`} narrow {onclose}>
	<div class="flex flex-wrap gap-1.5" role="group" aria-label="Common reasons">
		{#each REASONS as one (one)}
			<button
				type="button"
				class={['btn btn-sm', one === reason && 'bg-moss-soft text-primary']}
				aria-pressed={one === reason}
				onclick={() => (reason = one)}>{one}</button
			>
		{/each}
	</div>
	<form
		class="mt-3"
		onsubmit={(event) => {
			event.preventDefault();
			if (reason.trim()) onhide(reason.trim());
		}}
	>
		<label class="grid gap-0.5"
			><span class="text-muted">The reason, for colleagues</span><input
				class="input input-sm w-full"
				maxlength="300"
				bind:value={reason}
			/></label
		>
	</form>
	{#snippet actions()}
		<button type="button" class="btn btn-sm" onclick={onclose}>Not now</button>
		<button
			type="button"
			class="btn btn-primary btn-sm ml-auto"
			disabled={reason.trim() === ''}
			onclick={() => onhide(reason.trim())}>Hide</button
		>
	{/snippet}
</Sheet>
