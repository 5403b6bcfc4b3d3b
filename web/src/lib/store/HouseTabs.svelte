<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import { slugify } from '@anbau/core/catalog';
	import type { HouseTab } from '@anbau/core/placement';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import { waitingCount } from '$lib/desk/waiting.svelte.js';
	import PlantLabel from '$lib/ui/PlantLabel.svelte';

	/** The tabs that the theme brings itself: their names, order, and whether they show. */
	let { tabs }: { tabs: HouseTab[] } = $props();
	let slug = $state('');
	let problem = $state('');

	async function save(tab: HouseTab) {
		const { slug: id, ...body } = tab;
		problem = '';
		try {
			await request(`/api/v1/house-tabs/${encodeURIComponent(id)}`, { method: 'PUT', body });
			await invalidateAll();
			await waitingCount.refresh();
		} catch (error) {
			problem = `${id}: ${sentenceOf(error)}`;
			toast.error(problem);
		}
	}
	async function add() {
		const id = slugify(slug);
		if (id === '') return;
		await save({
			slug: id,
			name: slug.trim(),
			hidden: false,
			icon: null,
			binding: null,
			priority: Math.min(999, Math.max(0, ...tabs.map((tab) => tab.priority)) + 10)
		});
		slug = '';
	}
</script>

<section class="bg-base-100 border-base-300 rounded-box mt-4 border p-5">
	<h2 class="text-[17px]">The theme’s own tabs</h2>
	<p class="text-muted mt-1">
		They stand in one order with the tabs of your pieces; a lower number comes first. Changes wait until you publish.
	</p>
	<ul class="mt-3 grid gap-2">
		{#each tabs as tab (tab.slug)}
			<li class="flex flex-wrap items-center gap-3">
				<input
					class="input input-sm w-20 font-mono"
					inputmode="numeric"
					aria-label={`Priority of ${tab.name}`}
					value={tab.priority}
					onchange={(event) => save({ ...tab, priority: Number(event.currentTarget.value) })}
				/>
				<PlantLabel kind="house" text={tab.slug} />
				<input
					class="input input-sm w-52"
					aria-label={`Name of ${tab.slug}`}
					value={tab.name}
					onchange={(event) => save({ ...tab, name: event.currentTarget.value })}
				/>
				<label class="flex cursor-pointer items-center gap-1.5"
					><input
						type="checkbox"
						class="toggle toggle-sm toggle-primary"
						checked={!tab.hidden}
						onchange={(event) => save({ ...tab, hidden: !event.currentTarget.checked })}
					/>shown</label
				>
			</li>
		{/each}
	</ul>
	{#if problem}<p class="text-error mt-2" role="alert">{problem}</p>{/if}
	<form
		class="mt-3 flex gap-2"
		onsubmit={(event) => {
			event.preventDefault();
			void add();
		}}
	>
		<input
			class="input input-sm w-64"
			placeholder="data-anbau-tab of another panel"
			aria-label="Another tab of the theme"
			bind:value={slug}
		/>
		<button class="btn btn-sm">Add</button>
	</form>
</section>
