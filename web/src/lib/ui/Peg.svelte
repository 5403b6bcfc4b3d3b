<script lang="ts">
	/** A ring-shaped peg of the rail; filled where something hangs or is chosen. */
	let { filled = false, number = null }: { filled?: boolean; number?: number | null } = $props();
</script>

{#if number !== null}
	<span
		class="bg-primary text-primary-content z-10 grid size-5 shrink-0 place-items-center rounded-full text-[12px] font-bold"
		>{number}</span
	>
{:else}
	<span
		class={['size-3 shrink-0 rounded-full border-2', filled ? 'border-primary bg-primary' : 'border-muted']}
		aria-hidden="true"
	></span>
{/if}
