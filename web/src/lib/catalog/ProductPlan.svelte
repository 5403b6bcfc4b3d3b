<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { nanoid } from 'nanoid';
	import { toast } from 'svelte-sonner';
	import { DEVICES } from '@anbau/core/pieces';
	import { isOfTabs, type Hung } from '@anbau/core/placement';
	import { documentOf } from '$lib/desk/newPiece.js';
	import { sentenceOf } from '$lib/desk/request.js';
	import ExceptionRows from '$lib/exceptions/ExceptionRows.svelte';
	import HereMenu from '$lib/exceptions/HereMenu.svelte';
	import { drawingOf, hooksDrawn } from '$lib/hooks/drawing.js';
	import { Moving } from '$lib/plan/moving.svelte.js';
	import { Plan, type PlanData } from '$lib/plan/plan.svelte.js';
	import Peg from '$lib/ui/Peg.svelte';
	import PickList from '$lib/ui/PickList.svelte';
	import PlantLabel from '$lib/ui/PlantLabel.svelte';
	import Popover from '$lib/ui/Popover.svelte';

	/** A product's plan in small: what hangs on its page by hook, and in what it deviates from the library. */
	let { data, product }: { data: PlanData; product: string } = $props();
	const plan = untrack(() => new Plan(data));
	const moving = new Moving(plan);
	onMount(() => void plan.lookAt('product', product));

	const hooks = $derived(
		hooksDrawn(drawingOf('product', data.hooks))
			.map((hook) => ({ hook, labels: plan.shown(hook) }))
			.filter(({ labels }) => labels.length > 0)
	);
	const rows = $derived(plan.exceptions.rows.filter(({ exception }) => exception.product === product));
	const ownOf = ({ subject }: Hung) =>
		rows.filter(({ exception }) =>
			isOfTabs(exception)
				? 'houseTab' in subject && subject.houseTab === exception.houseTab
				: 'piece' in subject && subject.piece === exception.piece
		);
	const search = (text: string) =>
		Object.values(plan.pieces)
			.filter(
				({ slug }) =>
					!hooks.some(({ labels }) => labels.some((one) => 'piece' in one.subject && one.subject.piece === slug))
			)
			.filter(({ name }) => name.toLowerCase().includes(text.trim().toLowerCase()))
			.map(({ slug, name, kind }) => ({ value: slug, label: name, hint: kind }));

	/** Shows a piece of the library here, whatever its target; one that hangs on no product page gets a place first. */
	async function showHere(slug: string) {
		const view = plan.pieces[slug];
		if (!view) return;
		try {
			if (!view.placements.some(({ page }) => page === 'product')) {
				const hook = view.kind === 'tab' ? 'tabs' : 'above-buy';
				const placement = {
					id: nanoid(10),
					page: 'product' as const,
					hook,
					priority: 50,
					width: 'column' as const,
					devices: [...DEVICES]
				};
				await moving.write(view, { ...documentOf(view), placements: [...view.placements, placement] });
			}
			if (await plan.exceptions.put({ product, piece: slug, mode: 'show' }))
				toast(`“${view.name}” is shown here by hand, from the next release on.`);
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
</script>

<section class="bg-base-100 border-base-300 rounded-box border p-4">
	<div class="flex flex-wrap items-center gap-2">
		<h2 class="text-[17px]">
			Hangs on this page <span class="text-muted text-[14px] font-normal">as the drafts are</span>
		</h2>
		<a class="link ml-auto text-[13px]" href={`/plan?product=${encodeURIComponent(product)}`}>The page as a plan</a>
	</div>
	<ul class="mt-3 grid gap-2">
		{#each hooks as { hook, labels } (hook)}
			<li class="grid items-start gap-x-2 sm:grid-cols-[8.5rem_minmax(0,1fr)]">
				<span class="flex h-7 items-center gap-2 font-mono text-[13px]"><Peg filled />{hook}</span>
				<ul class="flex flex-wrap gap-x-2 gap-y-1">
					{#each labels as one (one.id)}
						{@const piece = 'piece' in one.subject ? plan.pieces[one.subject.piece] : undefined}
						<li class="flex max-w-full min-w-0 items-center">
							{#if piece}<a href={`/library/${piece.slug}?product=${encodeURIComponent(product)}`} class="min-w-0"
									><PlantLabel kind={one.kind} text={one.name} /></a
								>{:else}<PlantLabel kind={one.kind} text={one.name} />{/if}
							{#if plan.product}<HereMenu
									list={plan.exceptions}
									product={plan.product}
									{one}
									{piece}
									own={ownOf(one)}
									isHere
								/>{/if}
						</li>
					{/each}
				</ul>
			</li>
		{:else}
			<li class="text-muted">
				{plan.product
					? 'Nothing hangs on this product’s page. Make a tab just for it, or show a piece of the library here.'
					: 'Looking …'}
			</li>
		{/each}
	</ul>
	<div class="mt-3">
		<Popover label="Show a piece of the library here" triggerClass="btn btn-sm h-9" contentClass="w-80">
			{#snippet trigger()}Show a piece of the library here{/snippet}
			{#snippet children(close)}<PickList
					label="Search pieces"
					{search}
					onpick={({ value }) => (close(), void showHere(value))}
				/>{/snippet}
		</Popover>
	</div>
	{#if rows.length > 0}
		<h2 class="mt-5 mb-1 text-[17px]">
			Exceptions <span class="text-muted text-[14px] font-normal">of this product</span>
		</h2>
		<ExceptionRows list={plan.exceptions} {rows} by="piece" />
	{/if}
</section>
