<script lang="ts">
	import Braces from '@lucide/svelte/icons/braces';
	import { textFault } from '@anbau/core/pieces';
	import Popover from '$lib/ui/Popover.svelte';
	import LiveValueList from '../LiveValueList.svelte';

	/** A line that may hold live values as arguments, {product.title}; what is wrong with it stands below it. */
	interface Props {
		label: string;
		value: string;
		placeholder?: string;
		fault?: (text: string) => string | null;
		class?: string;
		onchange: (value: string) => void;
	}
	let { label, value, placeholder = '', fault = () => null, class: width = 'w-52', onchange }: Props = $props();
	const problem = $derived(value === '' ? null : (textFault(value) ?? fault(value)));
	const id = $props.id();
	let input = $state<HTMLInputElement>();

	/** Puts a live value in where the cursor is. */
	function insert(name: string) {
		const at = input?.selectionStart ?? value.length;
		onchange(`${value.slice(0, at)}{${name}}${value.slice(at)}`);
	}
</script>

<div class="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-0.5">
	<label for={id} class="text-muted">{label}</label>
	<span class="flex min-w-0 items-center">
		<input
			{id}
			bind:this={input}
			class={['input input-sm h-8 min-w-0', width]}
			{placeholder}
			{value}
			aria-invalid={problem !== null}
			oninput={(event) => onchange(event.currentTarget.value)}
		/>
		<Popover
			label={`Live value in “${label}”`}
			triggerClass="btn btn-ghost btn-sm btn-square h-8"
			onclosed={() => input?.focus()}
		>
			{#snippet trigger()}<Braces class="size-3.5" />{/snippet}
			{#snippet children(close)}<LiveValueList onpick={(name) => (insert(name), close())} />{/snippet}
		</Popover>
	</span>
	{#if problem}<span class="text-error max-w-72">This {problem}.</span>{/if}
</div>
