<script lang="ts">
	import ReviewChooser from '$lib/reviews/ReviewChooser.svelte';
	import type { PartForm } from './partForm.js';

	/** A review that is quoted in a text; once it is no longer shown, the quote stays away. */
	let { part, set }: PartForm = $props();
	const id = $derived(String(part.node.attrs.id));
</script>

<ReviewChooser chosen={id === '-' ? [] : [id]} most={1} onchange={([chosen]) => set({ id: chosen ?? '-' })} />
