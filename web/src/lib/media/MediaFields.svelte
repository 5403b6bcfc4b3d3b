<script lang="ts">
	import {
		hrefFault,
		MEDIA_TYPES,
		mediaFault,
		quoteText,
		type MediaSettings,
		type MediaType
	} from '@anbau/core/pieces';
	import { shapeOf } from '@anbau/core/media';
	import type { MediaView } from '$lib/contracts.js';
	import TemplateField from '$lib/editor/parts/TemplateField.svelte';
	import FrameField from './FrameField.svelte';
	import ShelfPicker from './ShelfPicker.svelte';

	/** What media show: a picture, a film or a foreign frame by its address, which may be each product's own. */
	interface Props {
		settings: MediaSettings;
		set: (change: Partial<MediaSettings>) => void;
	}
	let { settings, set }: Props = $props();
	const optional = (fault: (text: string) => string | null) => (text: string) => (text === '' ? null : fault(text));
	const typeWords: Record<MediaType, string> = { picture: 'A picture', film: 'A film', embed: 'From another site' };
	const isFilm = $derived(settings.type === 'film');

	/** Takes an upload with its shape, its words, its still picture and its captions. */
	function take({ address, alt, facts, poster, captions }: MediaView) {
		const shape = facts.kind !== 'captions' && facts.width && facts.height ? shapeOf(facts.width, facts.height) : null;
		set({
			address,
			...(shape ? { ratio: shape } : {}),
			...(settings.alt === '' && alt !== '' ? { alt: quoteText(alt) } : {}),
			...(isFilm ? { poster, captions } : {})
		});
	}
	const isGood = $derived(/^[1-9]\d{0,3}:[1-9]\d{0,3}$/.test(settings.ratio));
	const wide = 'w-96 max-w-full';
</script>

<div class="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-3 text-[13px]">
	<div class="flex flex-wrap gap-1" role="group" aria-label="What it shows">
		{#each MEDIA_TYPES as type (type)}
			<button
				type="button"
				class={['btn btn-sm', type === settings.type && 'bg-moss-soft text-primary']}
				aria-pressed={type === settings.type}
				onclick={() => set({ type })}>{typeWords[type]}</button
			>
		{/each}
	</div>
	{#if settings.type === 'embed'}
		<FrameField {settings} {set} />
	{:else}
		<ShelfPicker kind={settings.type} address={settings.address} onpick={take} />
	{/if}
	<TemplateField
		label="Address"
		placeholder="https://… or an attribute of the product"
		class={wide}
		value={settings.address}
		fault={mediaFault}
		onchange={(address) => set({ address })}
	/>
	<TemplateField
		label={settings.type === 'embed' ? 'What it is, on its button' : 'What it shows, for those who cannot see it'}
		class={wide}
		value={settings.alt}
		onchange={(alt) => set({ alt })}
	/>
	<TemplateField
		label="Caption below it"
		placeholder="none"
		class={wide}
		value={settings.caption}
		onchange={(caption) => set({ caption })}
	/>
	{#if settings.type === 'picture'}
		<TemplateField
			label="A click on it leads to"
			placeholder="nowhere"
			class={wide}
			value={settings.href}
			fault={optional(hrefFault)}
			onchange={(href) => set({ href })}
		/>
	{:else}
		<TemplateField
			label={isFilm ? 'Still picture until it plays' : 'Still picture until it is asked for'}
			placeholder={isFilm ? 'its first frame' : 'none'}
			class={wide}
			value={settings.poster}
			fault={optional(mediaFault)}
			onchange={(poster) => set({ poster })}
		/>
	{/if}
	{#if isFilm}
		<TemplateField
			label="Captions (WebVTT)"
			placeholder="none"
			class={wide}
			value={settings.captions}
			fault={optional(mediaFault)}
			onchange={(captions) => set({ captions })}
		/>
		<ShelfPicker kind="captions" address={settings.captions} onpick={({ address }) => set({ captions: address })} />
		<label class="flex items-center gap-2"
			><input
				type="checkbox"
				class="checkbox checkbox-sm"
				checked={settings.loops}
				onchange={(event) => set({ loops: event.currentTarget.checked })}
			/>Plays by itself over and over, without sound; not for visitors who want little motion</label
		>
	{/if}
	{#if settings.type !== 'picture'}
		<label class="grid gap-0.5"
			><span class="text-muted">Shape, width to height</span><input
				class="input input-sm h-8 w-24 font-mono"
				value={settings.ratio}
				aria-invalid={!isGood}
				oninput={(event) => set({ ratio: event.currentTarget.value.trim() })}
			/></label
		>
	{/if}
</div>
