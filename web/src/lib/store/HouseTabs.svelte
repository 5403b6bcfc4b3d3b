<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import { slugify } from '@anbau/core/catalog';
	import type { HouseTab, Strip } from '@anbau/core/placement';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import { waitingCount } from '$lib/desk/waiting.svelte.js';
	import IconPicker from '$lib/ui/IconPicker.svelte';
	import PlantLabel from '$lib/ui/PlantLabel.svelte';

	/** The tabs that the theme brings itself: names, order, icons, whether they show; and how the strip is. */
	let { tabs, strip }: { tabs: HouseTab[]; strip: Strip } = $props();
	let slug = $state('');
	let problem = $state('');

	async function attempt(path: string, method: 'PUT' | 'PATCH' | 'DELETE', body?: unknown) {
		problem = '';
		try {
			await request(path, { method, ...(body === undefined ? {} : { body }) });
			await invalidateAll();
			await waitingCount.refresh();
		} catch (error) {
			problem = sentenceOf(error);
			toast.error(problem);
		}
	}
	const path = (id: string) => `/api/v1/house-tabs/${encodeURIComponent(id)}`;
	const save = ({ slug: id, ...body }: HouseTab) => attempt(path(id), 'PUT', body);
	async function forget(tab: HouseTab) {
		await attempt(path(tab.slug), 'DELETE');
		if (problem === '')
			toast(`Anbau no longer knows the tab “${tab.name}”; the theme’s strip still shows it.`, {
				action: { label: 'Undo', onClick: () => void save(tab) }
			});
	}
	async function add() {
		const id = slugify(slug);
		if (id === '') return;
		const priority = Math.min(999, Math.max(0, ...tabs.map((tab) => tab.priority)) + 10);
		await save({ slug: id, name: slug.trim(), hidden: false, icon: null, binding: null, priority });
		slug = '';
	}
</script>

<section id="house-tabs" class="bg-base-100 border-base-300 rounded-box mt-4 border p-5">
	<h2 class="text-[17px]">The theme’s own tabs</h2>
	<p class="text-muted mt-1">
		They stand in one order with the tabs of your pieces; a lower number comes first. Changes wait until you publish.
	</p>
	<ul class="mt-3 grid gap-2">
		{#each tabs as tab (tab.slug)}
			<li class="flex flex-wrap items-center gap-2">
				<input
					class="input input-sm w-16 font-mono"
					inputmode="numeric"
					aria-label={`Priority of ${tab.name}`}
					value={tab.priority}
					onchange={(event) => save({ ...tab, priority: Number(event.currentTarget.value) })}
				/>
				<PlantLabel kind="house" text={tab.slug} />
				<input
					class="input input-sm w-44"
					aria-label={`Name of ${tab.slug}`}
					value={tab.name}
					onchange={(event) => save({ ...tab, name: event.currentTarget.value })}
				/>
				<IconPicker icon={tab.icon} onchange={(icon) => void save({ ...tab, icon })} />
				<input
					class="input input-sm w-40 font-mono"
					placeholder="CSS selector of its panel"
					aria-label={`Selector of ${tab.slug}`}
					value={tab.binding ?? ''}
					onchange={(event) => save({ ...tab, binding: event.currentTarget.value.trim() || null })}
				/>
				<label class="flex cursor-pointer items-center gap-1.5"
					><input
						type="checkbox"
						class="toggle toggle-sm toggle-primary"
						checked={!tab.hidden}
						onchange={(event) => save({ ...tab, hidden: !event.currentTarget.checked })}
					/>shown</label
				>
				<button type="button" class="btn btn-ghost btn-xs ml-auto" onclick={() => void forget(tab)}>Forget</button>
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
			placeholder="data-anbau-tab, or what its label says"
			aria-label="Another tab of the theme"
			bind:value={slug}
		/>
		<button class="btn btn-sm">Add</button>
	</form>
	<label class="border-base-300/60 mt-4 flex flex-wrap items-center gap-2 border-t pt-4">
		<span>Where it is at most</span>
		<input
			type="number"
			min="0"
			max="2000"
			class="input input-sm w-24 font-mono"
			value={strip.accordionBelow}
			onchange={(event) =>
				attempt('/api/v1/store', 'PATCH', {
					strip: { accordionBelow: Math.round(event.currentTarget.valueAsNumber || 0) }
				})}
		/>
		<span>pixels wide, the strip is an accordion; 0 for never.</span>
	</label>
</section>
