<script lang="ts">
	import { slugify } from '@anbau/core/catalog';
	import { ICON_NAMES, ownIcon } from '@anbau/core/pieces';
	import { useSources } from '$lib/editor/sources.js';
	import { sentenceOf } from '$lib/desk/request.js';
	import PieceIcon from './PieceIcon.svelte';
	import Popover from './Popover.svelte';

	/** Chooses an icon: of the shipped set, of the owner's own, which can be uploaded here, or none. */
	let { icon, onchange }: { icon: string | null; onchange: (icon: string | null) => void } = $props();
	const sources = useSources();
	let text = $state('');
	let problem = $state('');
	const all = $derived([...sources.icons().map((one) => `own:${one.slug}`), ...ICON_NAMES]);
	const wordOf = (name: string) => ownIcon(name) ?? name;
	const found = $derived(all.filter((name) => wordOf(name).includes(text.trim().toLowerCase())));

	async function upload(files: FileList | null, close: () => void) {
		const [file] = files ?? [];
		if (!file) return;
		problem = '';
		try {
			const slug = slugify(file.name.replace(/\.svg$/i, '')) || 'icon';
			await sources.addIcon(slug, await file.text());
			onchange(`own:${slug}`);
			close();
		} catch (error) {
			problem = sentenceOf(error);
		}
	}
</script>

<Popover label="Icon" triggerClass="btn btn-sm h-8" contentClass="w-64">
	{#snippet trigger()}
		{#if icon}<PieceIcon name={icon} />{wordOf(icon)}{:else}No icon{/if}
	{/snippet}
	{#snippet children(close)}
		<input class="input input-sm mb-2 w-full" placeholder="Search icons" aria-label="Search icons" bind:value={text} />
		<div class="grid grid-cols-6 gap-1">
			{#each found as name (name)}
				<button
					type="button"
					class={['btn btn-ghost btn-square btn-sm', icon === name && 'bg-moss-soft']}
					aria-label={wordOf(name)}
					title={wordOf(name)}
					onclick={() => (onchange(name), close())}><PieceIcon {name} /></button
				>
			{/each}
		</div>
		{#if found.length === 0}<p class="text-muted">No icon is called so.</p>{/if}
		<div class="mt-2 flex flex-wrap gap-2">
			<button type="button" class="btn btn-ghost btn-sm" onclick={() => (onchange(null), close())}>No icon</button>
			<label class="btn btn-sm"
				>Your own SVG<input
					type="file"
					accept=".svg,image/svg+xml"
					class="sr-only"
					onchange={(event) => void upload(event.currentTarget.files, close)}
				/></label
			>
		</div>
		{#if problem}<p role="alert" class="text-error mt-2 text-[13px]">{problem}</p>{/if}
	{/snippet}
</Popover>
