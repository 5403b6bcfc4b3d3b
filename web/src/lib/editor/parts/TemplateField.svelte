<script lang="ts">
	import { textFault } from '@anbau/core/pieces';

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
</script>

<label class="grid gap-0.5">
	<span class="text-muted">{label}</span>
	<input
		class={['input input-sm h-8', width]}
		{placeholder}
		{value}
		aria-invalid={problem !== null}
		oninput={(event) => onchange(event.currentTarget.value)}
	/>
	{#if problem}<span class="text-error max-w-72">This {problem}.</span>{/if}
</label>
