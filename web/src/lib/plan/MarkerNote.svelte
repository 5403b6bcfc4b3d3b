<script lang="ts">
	import type { PageKind } from '@anbau/core/catalog';
	import { formOf } from '@anbau/core/pieces';
	import type { HookView } from '$lib/contracts.js';

	/** How the hook was last found in the storefront. */
	interface Props {
		hook: string;
		seen: Pick<HookView, 'sightings'> | undefined;
		binding: HookView['binding'];
		page: PageKind;
	}
	let { hook, seen, binding, page }: Props = $props();
	const pages = $derived(seen?.sightings.filter(({ kind }) => kind === page) ?? []);
	const found = $derived(pages.filter((one) => one.found > 0).length);
	const marked = $derived(pages.filter(({ byMarker }) => byMarker).length);
</script>

<section class="border-base-300 mt-5 border-t pt-4">
	<h3 class="text-[14px]">In the shop</h3>
	{#if formOf(hook) === 'edge'}
		<p class="text-muted mt-1 text-[13px]">Every page has its edges; nothing needs to be found.</p>
	{:else if pages.length === 0}
		<p class="text-muted mt-1 text-[13px]">The shop has not been looked at for this hook yet.</p>
	{:else}
		<p class="text-muted mt-1 text-[13px]">
			Found on {found} of {pages.length} sample pages{marked > 0
				? `, on ${marked} by a marker`
				: ''}{#if binding && found > marked}, {binding.position === 'before' || binding.position === 'after'
					? binding.position
					: `${binding.position} in`} <code>{binding.selector}</code>{/if}.
		</p>
	{/if}
	<a class="link text-[13px]" href={`/hooks?hook=${encodeURIComponent(hook)}`}>Where hooks are in the shop</a>
</section>
