<script lang="ts">
	import { textPlace } from '@anbau/core/pieces';
	import type { Hung } from '@anbau/core/placement';
	import PlantLabel from '$lib/ui/PlantLabel.svelte';
	import Peg from '$lib/ui/Peg.svelte';
	import { textPlaceWords } from '$lib/desk/words.js';
	import type { Moving } from './moving.svelte.js';
	import type { Plan } from './plan.svelte.js';

	/** A hook on the plan: its peg, its name, and the labels of what hangs there on this page. */
	interface Props {
		plan: Plan;
		moving: Moving;
		hook: string;
		title: string;
		onopen: (one: Hung) => void;
		onkey: (event: KeyboardEvent, one: Hung) => void;
	}
	let { plan, moving, hook, title, onopen, onkey }: Props = $props();
	const labels = $derived(plan.shown(hook));
	const isChosen = $derived(plan.hook === hook);
	let row = $state<HTMLElement>();
	/** Before which label the dragged one would come; undefined while nothing is over this hook. */
	let before = $state<string | null>();

	const takes = (one: Hung | null) => one !== null && moving.takes(one, hook);

	function over(event: DragEvent) {
		if (!takes(moving.dragged)) return;
		event.preventDefault();
		const items = [...(row?.querySelectorAll<HTMLElement>('[data-label]') ?? [])];
		const next = items.find((item) => {
			const { left, width, top, bottom } = item.getBoundingClientRect();
			return event.clientY < top || (event.clientY <= bottom && event.clientX < left + width / 2);
		});
		before = next?.dataset.label ?? null;
	}
	function drop(event: DragEvent) {
		event.preventDefault();
		if (moving.dragged) moving.drop(moving.dragged, hook, before ?? null);
		moving.dragged = null;
		before = undefined;
	}
</script>

<div
	bind:this={row}
	class={[
		'flex min-h-7 flex-wrap items-center gap-x-1.5 gap-y-1 rounded-md px-1.5',
		isChosen ? 'bg-moss-soft/60 outline-primary outline' : hook === 'tabs' && 'bg-base-200',
		moving.dragged && (takes(moving.dragged) ? 'outline-base-300 outline-1 outline-dashed' : 'opacity-45')
	]}
	role="group"
	aria-label={hook}
	data-hook={hook}
	ondragover={over}
	ondragleave={(event) => {
		if (!(event.relatedTarget instanceof Node && row?.contains(event.relatedTarget))) before = undefined;
	}}
	ondrop={drop}
>
	<button
		type="button"
		class="rounded-field flex items-center gap-2 py-0.5 pr-1.5 font-mono text-[12.5px] hover:underline"
		{title}
		aria-pressed={isChosen}
		onclick={() => (plan.hook = isChosen ? null : hook)}><Peg filled={isChosen || labels.length > 0} />{hook}</button
	>
	{#each plan.partsOn(hook) as part (part.slug)}
		<a class="max-w-full" href="/hooks#house-parts" title={`The theme’s own ${part.name}, moved here`}
			><PlantLabel kind="house" small text={part.name} withKind={false} /><span class="sr-only"
				>of the theme, moved here</span
			></a
		>
	{/each}
	{#each labels as one (one.id)}
		{#if before === one.id}<span class="bg-primary h-6 w-0.5 rounded" aria-hidden="true"></span>{/if}
		<button
			type="button"
			id={`on ${one.id}`}
			data-label={one.id}
			class={['rounded-field max-w-full cursor-grab', moving.dragged?.id === one.id && 'opacity-40']}
			draggable="true"
			aria-label={`${one.name}, number ${one.priority} on ${hook}`}
			title={`${one.name} · number ${one.priority}`}
			ondragstart={(event) => {
				event.dataTransfer?.setData('text/plain', one.name);
				moving.dragged = one;
			}}
			ondragend={() => ((moving.dragged = null), (before = undefined))}
			onclick={() => onopen(one)}
			onkeydown={(event) => onkey(event, one)}
			><PlantLabel
				kind={one.kind}
				small
				text={one.name}
				hint={hook === 'tabs'
					? String(one.priority)
					: hook === 'text' && 'piece' in one.subject
						? textPlaceWords(textPlace(one.subject.placement))
						: ''}
			/></button
		>
	{/each}
	{#if before === null}<span class="bg-primary h-6 w-0.5 rounded" aria-hidden="true"></span>{/if}
</div>
