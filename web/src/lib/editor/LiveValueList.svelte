<script lang="ts">
	import { catalogIndex } from '$lib/reach/catalogIndex.js';
	import PickList from '$lib/ui/PickList.svelte';
	import { findLiveValues } from './liveValueSearch.js';
	import { useSources } from './sources.js';

	/** The live values to pick from, by their labels. */
	let { onpick }: { onpick: (name: string) => void } = $props();
	const sources = useSources();
	let beginnings = $state.raw<string[]>([]);

	$effect(() => {
		void catalogIndex.ask('beginnings', {}).then((found) => (beginnings = found.map((one) => one.beginning)));
	});
</script>

<PickList
	label="Search live values"
	search={(text) => findLiveValues(text, sources, beginnings)}
	onpick={({ value }) => onpick(value)}
/>
