<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { nanoid } from 'nanoid';
	import { untrack } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { DEVICES, kindFault, type PieceKind, type Placement } from '@anbau/core/pieces';
	import type { Hung } from '@anbau/core/placement';
	import type { HookView } from '$lib/contracts.js';
	import { documentOf } from '$lib/desk/newPiece.js';
	import { sentenceOf } from '$lib/desk/request.js';
	import { counted } from '$lib/desk/words.js';
	import NewPiece from '$lib/library/NewPiece.svelte';
	import PickList from '$lib/ui/PickList.svelte';
	import Popover from '$lib/ui/Popover.svelte';
	import HungRow from './HungRow.svelte';
	import MarkerNote from './MarkerNote.svelte';
	import type { Moving } from './moving.svelte.js';
	import type { Plan } from './plan.svelte.js';

	/** What hangs on the chosen hook: its order by numbers, what is not on this page and why, and what can be hung. */
	interface Props {
		plan: Plan;
		moving: Moving;
		hook: string;
		title: string;
		seen: Pick<HookView, 'id' | 'sightings'> | undefined;
		binding: HookView['binding'];
		onopen: (one: Hung) => void;
		/** Begins a new piece at once. */
		make?: boolean;
	}
	let { plan, moving, hook, title, seen, binding, onopen, make = false }: Props = $props();
	const shown = $derived(plan.shown(hook));
	const absent = $derived(plan.notHere(hook));
	const usual = (): PieceKind => (hook === 'tabs' ? 'tab' : hook === 'gallery' ? 'media' : 'message');
	let kind = $state<PieceKind | null>(untrack(() => (make ? usual() : null)));
	const page = $derived(plan.page.kind);

	function newPlacement(): Placement {
		const last = Math.max(0, ...plan.everything(hook).map(({ priority }) => priority));
		const priority = Math.min(999, last + 10);
		return { id: nanoid(10), page, hook, priority, width: 'column', devices: [...DEVICES] };
	}

	/** Dropped on the upper half of a row it comes before it, on the lower half behind it. */
	function dropOn(event: DragEvent & { currentTarget: HTMLElement }, one: Hung) {
		event.preventDefault();
		const { top, height } = event.currentTarget.getBoundingClientRect();
		const next = shown[shown.indexOf(one) + 1]?.id ?? null;
		if (moving.dragged) moving.drop(moving.dragged, hook, event.clientY < top + height / 2 ? one.id : next);
		moving.dragged = null;
	}

	const search = (text: string) => {
		const wanted = text.trim().toLowerCase();
		const here = new Set(plan.everything(hook).flatMap(({ subject }) => ('piece' in subject ? subject.piece : [])));
		return Object.values(plan.pieces)
			.filter((one) => !here.has(one.slug) && kindFault(one.kind, hook) === null)
			.filter(({ name }) => name.toLowerCase().includes(wanted))
			.map(({ slug, name, kind: one }) => ({ value: slug, label: name, hint: one }));
	};

	async function hang(slug: string, close: () => void) {
		close();
		const view = plan.pieces[slug];
		if (!view) return;
		try {
			await moving.write(view, { ...documentOf(view), placements: [...view.placements, newPlacement()] });
			toast(`“${view.name}” hangs ${title} now.`);
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
</script>

<h2 class="text-[17px]">{hook} <span class="text-muted text-[14px] font-normal">{title}</span></h2>
<p class="text-muted mt-1 text-[13px]">
	{counted(shown.length, 'piece')}
	{shown.length === 1 ? 'hangs' : 'hang'} here on this page, {shown.length + absent.length}
	in all. Lower number comes first.
</p>
<ol class="mt-3 grid grid-cols-[minmax(0,1fr)] gap-1.5" aria-label="Hangs here">
	{#each shown as one (one.id)}
		<li
			class={moving.dragged && moving.dragged.id !== one.id ? 'hover:outline-primary rounded-md outline-1' : ''}
			ondragover={(event) => moving.dragged && moving.takes(moving.dragged, hook) && event.preventDefault()}
			ondrop={(event) => dropOn(event, one)}
		>
			<HungRow {plan} {moving} {one} {onopen} />
		</li>
	{/each}
</ol>
{#if absent.length > 0}
	<h3 class="mt-4 text-[14px]">Not on this page</h3>
	<ol class="mt-2 grid grid-cols-[minmax(0,1fr)] gap-2" aria-label="Not on this page">
		{#each absent as { one, reason } (one.id)}<li><HungRow {plan} {moving} {one} {reason} {onopen} /></li>{/each}
	</ol>
{/if}
<div class="mt-4 flex flex-wrap gap-2">
	<Popover label="Hang a piece" triggerClass="btn btn-primary btn-sm h-9" contentClass="w-80">
		{#snippet trigger()}<Plus class="size-4" />Hang a piece{/snippet}
		{#snippet children(close)}
			<PickList
				label="Search pieces"
				{search}
				nothing="No piece of that name can be hung here."
				onpick={({ value }) => void hang(value, close)}
			/>
		{/snippet}
	</Popover>
	<button class="btn btn-sm h-9" onclick={() => (kind = usual())}>New piece here</button>
</div>
<MarkerNote {hook} {seen} {binding} {page} />
<NewPiece bind:kind placement={newPlacement} />
