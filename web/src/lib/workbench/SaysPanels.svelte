<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { emptyBody, type AccordionPiece, type OpeningPanel, type Panel, type TabPiece } from '@anbau/core/pieces';
	import BodyEditor from '$lib/editor/BodyEditor.svelte';
	import TemplateField from '$lib/editor/parts/TemplateField.svelte';
	import PanelHead from './PanelHead.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** The panels of a tab piece or an accordion: each with its label and what it says. */
	let { piece, bench }: { piece: TabPiece | AccordionPiece; bench: Workbench } = $props();
	type Change = Partial<Omit<OpeningPanel, 'slug'>>;
	const word = $derived(piece.kind === 'tab' ? 'tab' : 'panel');

	function setPanels(place: string, panels: readonly (Panel | OpeningPanel)[]) {
		if (piece.kind === 'tab') bench.edit(place, { ...piece, panels: [...panels] });
		else bench.edit(place, { ...piece, panels: panels.map((panel) => ({ above: null, ...panel })) });
	}
	const setPanel = (i: number, place: string, change: Change) =>
		setPanels(
			`panel ${i} ${place}`,
			piece.panels.map((panel, at) => (at === i ? { ...panel, ...change } : panel))
		);

	function move(i: number, by: -1 | 1) {
		const panels: (Panel | OpeningPanel)[] = [...piece.panels];
		const [moved] = panels.splice(i, 1);
		if (moved) panels.splice(i + by, 0, moved);
		setPanels('order of panels', panels);
	}

	function add() {
		const taken = new Set(piece.panels.map((panel) => panel.slug));
		let number = piece.panels.length + 1;
		while (taken.has(`panel-${number}`)) number++;
		const heading = piece.kind === 'tab' ? `Tab ${number}` : `Panel ${number}`;
		setPanels('panels', [...piece.panels, { slug: `panel-${number}`, heading, icon: null, body: emptyBody() }]);
	}
	const settings = (change: Partial<AccordionPiece['settings']>) => {
		if (piece.kind === 'accordion') bench.edit('settings', { ...piece, settings: { ...piece.settings, ...change } });
	};
</script>

<div class="grid grid-cols-[minmax(0,1fr)] gap-3">
	{#if piece.kind === 'accordion'}
		<div class="flex flex-wrap items-end gap-x-5 gap-y-2 text-[13px]">
			<TemplateField
				label="Heading, its label where it hangs among the tabs"
				value={piece.heading}
				class="w-72"
				onchange={(heading) => bench.set('heading', { heading })}
			/>
			<label class="flex h-8 items-center gap-1.5"
				><input
					type="checkbox"
					class="checkbox checkbox-sm checkbox-primary"
					checked={piece.settings.many}
					onchange={(event) => settings({ many: event.currentTarget.checked })}
				/>several may be open</label
			>
			<label class="flex h-8 items-center gap-1.5"
				><input
					type="checkbox"
					class="checkbox checkbox-sm checkbox-primary"
					checked={piece.settings.open === 'first'}
					onchange={(event) => settings({ open: event.currentTarget.checked ? 'first' : 'none' })}
				/>the first is open</label
			>
		</div>
	{/if}
	{#each piece.panels as panel, i (panel.slug)}
		<div>
			{#if 'above' in panel && panel.above}
				<div class="mb-2">
					<div class="text-muted mb-1 flex items-center gap-2 text-[13px]">
						Above panel {i + 1}
						<button type="button" class="btn btn-ghost btn-xs" onclick={() => setPanel(i, 'above', { above: null })}
							>Remove</button
						>
					</div>
					<BodyEditor
						body={panel.above}
						label={`What stands above panel ${i + 1}`}
						replaced={bench.replaced}
						onchange={(above) => setPanel(i, 'above', { above })}
					/>
				</div>
			{/if}
			<PanelHead
				{panel}
				icon={panel.icon ?? (piece.kind === 'tab' && piece.panels.length === 1 ? piece.icon : null)}
				{word}
				index={i}
				count={piece.panels.length}
				onchange={(place, change) => setPanel(i, place, change)}
				onmove={(by) => move(i, by)}
				onremove={() =>
					setPanels(
						'panels',
						piece.panels.filter((_, at) => at !== i)
					)}
				onabove={piece.kind === 'accordion' && 'above' in panel && !panel.above
					? () => setPanel(i, 'above', { above: emptyBody() })
					: null}
			/>
			<BodyEditor
				body={panel.body}
				label={`What ${panel.heading || `the ${word}`} says`}
				replaced={bench.replaced}
				onchange={(body) => setPanel(i, 'body', { body })}
			/>
		</div>
	{/each}
	<button type="button" class="btn btn-ghost btn-sm text-primary justify-self-start" onclick={add}
		><Plus class="size-4" />{piece.kind === 'tab' ? 'Another tab beside it' : 'Another panel'}</button
	>
</div>
