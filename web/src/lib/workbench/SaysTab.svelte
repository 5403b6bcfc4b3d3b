<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import Plus from '@lucide/svelte/icons/plus';
	import Trash from '@lucide/svelte/icons/trash-2';
	import { slugify } from '@anbau/core/catalog';
	import { emptyBody, type Panel, type TabPiece } from '@anbau/core/pieces';
	import BodyEditor from '$lib/editor/BodyEditor.svelte';
	import IconPicker from './IconPicker.svelte';
	import type { Workbench } from './workbench.svelte.js';

	let { piece, bench }: { piece: TabPiece; bench: Workbench } = $props();
	const setPanels = (place: string, panels: Panel[]) => bench.edit(place, { ...piece, panels });
	const setPanel = (i: number, place: string, change: Partial<Panel>) =>
		setPanels(
			`panel ${i} ${place}`,
			piece.panels.map((panel, at) => (at === i ? { ...panel, ...change } : panel))
		);

	function move(i: number, by: -1 | 1) {
		const panels = [...piece.panels];
		const [moved] = panels.splice(i, 1);
		if (moved) panels.splice(i + by, 0, moved);
		setPanels('order of panels', panels);
	}

	function add() {
		const taken = new Set(piece.panels.map((panel) => panel.slug));
		let number = piece.panels.length + 1;
		while (taken.has(`panel-${number}`)) number++;
		setPanels('panels', [
			...piece.panels,
			{ slug: slugify(`panel ${number}`), heading: `Tab ${number}`, icon: null, body: emptyBody() }
		]);
	}
</script>

<div class="grid gap-3">
	{#each piece.panels as panel, i (panel.slug)}
		<div>
			<div class="mb-1.5 flex flex-wrap items-center gap-2">
				<input
					class="input input-sm h-8 w-56 font-semibold"
					placeholder="The tab’s label"
					aria-label={`Label of tab ${i + 1}`}
					value={panel.heading}
					oninput={(event) => setPanel(i, 'heading', { heading: event.currentTarget.value })}
				/>
				<IconPicker icon={panel.icon} onchange={(icon) => setPanel(i, 'icon', { icon })} />
				{#if piece.panels.length > 1}
					<span class="ml-auto flex">
						<button
							type="button"
							class="btn btn-ghost btn-sm btn-square"
							aria-label="Move up"
							disabled={i === 0}
							onclick={() => move(i, -1)}><ArrowUp class="size-4" /></button
						>
						<button
							type="button"
							class="btn btn-ghost btn-sm btn-square"
							aria-label="Move down"
							disabled={i === piece.panels.length - 1}
							onclick={() => move(i, 1)}><ArrowDown class="size-4" /></button
						>
						<button
							type="button"
							class="btn btn-ghost btn-sm btn-square"
							aria-label={`Remove ${panel.heading}`}
							onclick={() =>
								setPanels(
									'panels',
									piece.panels.filter((_, at) => at !== i)
								)}><Trash class="size-4" /></button
						>
					</span>
				{/if}
			</div>
			<BodyEditor
				body={panel.body}
				label={`What ${panel.heading || 'the tab'} says`}
				replaced={bench.replaced}
				onchange={(body) => setPanel(i, 'body', { body })}
			/>
		</div>
	{/each}
	<button type="button" class="btn btn-ghost btn-sm text-primary justify-self-start" onclick={add}
		><Plus class="size-4" />Another tab beside it</button
	>
</div>
