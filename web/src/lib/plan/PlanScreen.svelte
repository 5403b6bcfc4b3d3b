<script lang="ts">
	import { goto } from '$app/navigation';
	import { onMount, tick, untrack } from 'svelte';
	import { DEVICES, kindFault } from '@anbau/core/pieces';
	import { hookTitle, type Hung } from '@anbau/core/placement';
	import type { HookView } from '$lib/contracts.js';
	import { provideStoreSources } from '$lib/editor/storeSources.svelte.js';
	import { drawingOf, hooksDrawn, type DrawnPart } from '$lib/hooks/drawing.js';
	import HookPanel from './HookPanel.svelte';
	import HookRow from './HookRow.svelte';
	import { Moving } from './moving.svelte.js';
	import { Plan, type PlanData, type PlannedKind } from './plan.svelte.js';
	import PlanHead from './PlanHead.svelte';

	interface Props {
		data: PlanData & {
			seen: Pick<HookView, 'id' | 'sightings'>[];
			kind: string | null;
			key: string | null;
			hook: string | null;
			/** Whether a new piece is to be begun on the hook at once. */
			make: boolean;
			groups: string[];
			campaign: string | null;
			device: string | null;
			at: string | null;
		};
	}
	let { data }: Props = $props();
	const plan = untrack(() => new Plan(data));
	const moving = new Moving(plan);
	untrack(() => provideStoreSources(data.attributes, data.icons));
	onMount(() => {
		plan.hook = data.hook;
		plan.visitor = { signedIn: data.groups.length > 0, groups: data.groups, campaign: data.campaign };
		plan.device = DEVICES.find((device) => device === data.device) ?? 'desktop';
		plan.at = data.at;
		const kind: PlannedKind = data.kind === 'category' || data.kind === 'article' ? data.kind : 'product';
		void plan.lookAt(kind, data.key);
	});

	const drawing = $derived(drawingOf(plan.page.kind, data.hooks));
	const order = $derived(hooksDrawn(drawing));
	const articles = $derived([
		...new Set(
			data.seen.flatMap(({ sightings }) => sightings.flatMap(({ kind, key }) => (kind === 'article' ? key : [])))
		)
	]);
	const groups = $derived([...new Set(data.pieces.flatMap(({ audience }) => audience?.groups ?? []))].sort());

	function open({ subject }: Hung) {
		if (!('piece' in subject)) return void goto('/store#house-tabs');
		const product = plan.page.kind === 'product' ? `?product=${encodeURIComponent(plan.page.key)}` : '';
		void goto(`/library/${subject.piece}${product}`);
	}

	/** Arrows move a label along its hook and to the next one, Enter opens it, Esc steps back. */
	async function onlabelkey(event: KeyboardEvent, one: Hung) {
		const along = { ArrowLeft: -1, ArrowRight: 1 }[event.key] as -1 | 1 | undefined;
		const across = { ArrowUp: -1, ArrowDown: 1 }[event.key];
		if (event.key === 'Escape')
			return (event.currentTarget as HTMLElement).parentElement?.querySelector('button')?.focus();
		if (!along && !across) return;
		event.preventDefault();
		if (along) moving.step(one, along);
		if (across) {
			const takes = (hook: string) =>
				'piece' in one.subject ? hook !== 'tabs' && kindFault(one.kind, hook) === null : false;
			const from = order.indexOf(moving.hookOf(one));
			const to = (across > 0 ? order.slice(from + 1) : order.slice(0, Math.max(0, from)).reverse()).find(takes);
			if (to) moving.drop(one, to, null);
		}
		await tick();
		document.getElementById(`on ${one.id}`)?.focus();
	}

	function onkeydown(event: KeyboardEvent) {
		const { target } = event;
		if (
			target instanceof HTMLElement &&
			(target.isContentEditable || /^(input|textarea|select)$/i.test(target.tagName))
		)
			return;
		if (event.key === '[') void plan.leaf(-1);
		else if (event.key === ']') void plan.leaf(1);
		else if (event.key === 'Escape' && !event.defaultPrevented && target === document.body) plan.hook = null;
		else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
			event.preventDefault();
			moving.undo();
		}
	}
</script>

{#snippet parts(list: readonly DrawnPart[])}
	{#each list as part (part.name)}
		{#if 'hook' in part}
			<HookRow
				{plan}
				{moving}
				hook={part.hook}
				title={hookTitle(part.hook, data.hooks)}
				onopen={open}
				onkey={(event, one) => void onlabelkey(event, one)}
			/>
		{:else}
			<div
				class={[
					'border-base-300 text-muted grid place-items-center rounded-md border border-dashed text-[12.5px]',
					part.tall ? 'min-h-20 flex-1' : 'h-6'
				]}
			>
				{part.name}
			</div>
		{/if}
	{/each}
{/snippet}

<svelte:window {onkeydown} />
<div class="grid lg:h-[calc(100dvh-52px)] lg:grid-cols-[minmax(0,1fr)_23rem]">
	<main class="min-w-0 px-3 py-3 sm:px-5 lg:overflow-y-auto">
		<PlanHead {plan} {articles} {groups} />
		<div
			class="bg-base-100 border-base-300 rounded-box mt-3 grid gap-0.5 border p-3"
			aria-label="The page"
			aria-busy={plan.document === null || plan.around.isFilling}
			role="region"
		>
			{@render parts(drawing.top)}
			{#if drawing.right.length > 0}
				<div class="grid gap-x-5 gap-y-0.5 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
					<div class="flex flex-col gap-0.5">{@render parts(drawing.left)}</div>
					<div class="flex flex-col gap-0.5">{@render parts(drawing.right)}</div>
				</div>
			{/if}
			{@render parts(drawing.bottom)}
		</div>
		<p class="text-muted mt-2 flex items-center gap-3 text-[13px]">
			<span>Drag a label, or move it with the arrow keys. What changes is a draft until it is published.</span>
			<button class="btn btn-xs" disabled={!moving.canUndo} onclick={() => moving.undo()}>Undo the last move</button>
			<span aria-live="polite">{moving.saving ? 'Saving …' : ''}</span>
		</p>
	</main>
	<aside
		class="border-base-300 min-w-0 border-t px-4 py-4 lg:overflow-y-auto lg:border-t-0 lg:border-l"
		style:background="var(--anbau-desk)"
		aria-label="The chosen hook"
	>
		{#if plan.hook && order.includes(plan.hook)}
			<HookPanel
				{plan}
				{moving}
				hook={plan.hook}
				title={hookTitle(plan.hook, data.hooks)}
				seen={data.seen.find(({ id }) => id === plan.hook)}
				binding={data.hooks.find(({ id }) => id === plan.hook)?.binding ?? null}
				onopen={open}
				make={data.make && plan.hook === data.hook}
			/>
		{:else}
			<h2 class="text-[17px]">The page, hook by hook</h2>
			<p class="text-muted mt-1">
				Every ring is a hook. Choose one to see its order by numbers, what hangs there but not on this page, and why.
			</p>
		{/if}
	</aside>
</div>
