<script lang="ts">
	import { hrefFault, MEDIA_TYPES, mediaFault, quoteText, type MediaPiece, type MediaType } from '@anbau/core/pieces';
	import type { MediaView } from '$lib/contracts.js';
	import TemplateField from '$lib/editor/parts/TemplateField.svelte';
	import ShelfPicker from '$lib/media/ShelfPicker.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** What a media piece shows: a picture or a film by its address, which may be each product's own. */
	let { piece, bench }: { piece: MediaPiece; bench: Workbench } = $props();
	const { settings } = $derived(piece);
	const set = (place: string, change: Partial<MediaPiece['settings']>) =>
		bench.edit(place, { ...piece, settings: { ...piece.settings, ...change } });
	const optional = (fault: (text: string) => string | null) => (text: string) => (text === '' ? null : fault(text));
	const typeWords: Record<MediaType, string> = { picture: 'A picture', film: 'A film' };
	/** Takes an upload with its shape and words. */
	function take({ address, alt, facts: { width, height } }: MediaView) {
		const shape = width && height ? { ratio: ratioOf(width, height) } : {};
		set('address', { address, ...shape, ...(settings.alt === '' && alt !== '' ? { alt: quoteText(alt) } : {}) });
	}
	/** Width to height in numbers of four digits at most. */
	function ratioOf(width: number, height: number): string {
		const scale = Math.min(1, 9999 / Math.max(width, height));
		return `${Math.max(1, Math.round(width * scale))}:${Math.max(1, Math.round(height * scale))}`;
	}
	const isGood = $derived(/^\d{1,4}:\d{1,4}$/.test(settings.ratio));
</script>

<div class="bg-base-100 border-base-300 rounded-box grid gap-3 border p-4 text-[13px]">
	<div class="flex gap-1" role="group" aria-label="What it shows">
		{#each MEDIA_TYPES as type (type)}
			<button
				type="button"
				class={['btn btn-sm', type === settings.type && 'bg-moss-soft text-primary']}
				aria-pressed={type === settings.type}
				onclick={() => set('type', { type })}>{typeWords[type]}</button
			>
		{/each}
	</div>
	<ShelfPicker kind={settings.type} address={settings.address} onpick={take} />
	<TemplateField
		label="Address"
		placeholder="https://… or an attribute of the product"
		class="w-96 max-w-full"
		value={settings.address}
		fault={mediaFault}
		onchange={(address) => set('address', { address })}
	/>
	<TemplateField
		label="What it shows, for those who cannot see it"
		class="w-96 max-w-full"
		value={settings.alt}
		onchange={(alt) => set('alt', { alt })}
	/>
	<TemplateField
		label="Caption below it"
		placeholder="none"
		class="w-96 max-w-full"
		value={settings.caption}
		onchange={(caption) => set('caption', { caption })}
	/>
	{#if settings.type === 'picture'}
		<TemplateField
			label="A click on it leads to"
			placeholder="nowhere"
			class="w-96 max-w-full"
			value={settings.href}
			fault={optional(hrefFault)}
			onchange={(href) => set('href', { href })}
		/>
	{:else}
		<TemplateField
			label="Still picture until it plays"
			placeholder="its first frame"
			class="w-96 max-w-full"
			value={settings.poster}
			fault={optional(mediaFault)}
			onchange={(poster) => set('poster', { poster })}
		/>
		<TemplateField
			label="Captions (WebVTT)"
			placeholder="none"
			class="w-96 max-w-full"
			value={settings.captions}
			fault={optional(mediaFault)}
			onchange={(captions) => set('captions', { captions })}
		/>
	{/if}
	<label class="grid gap-0.5"
		><span class="text-muted">Shape, width to height</span><input
			class="input input-sm h-8 w-24 font-mono"
			value={settings.ratio}
			aria-invalid={!isGood}
			oninput={(event) => set('ratio', { ratio: event.currentTarget.value.trim() })}
		/></label
	>
</div>
