<script lang="ts">
	import { factsText } from '@anbau/core/media';
	import type { MediaView } from '$lib/contracts.js';
	import Findings from './Findings.svelte';

	/** One picture or film on the shelf. */
	interface Props {
		media: MediaView;
		/** Where uploads are served. */
		base: string;
		onchange: (change: { name?: string; alt?: string; removed?: boolean }) => void;
	}
	let { media, base, onchange }: Props = $props();
	const src = $derived(`${base}/media/${media.sha256}.${media.ending}`);
</script>

<li class="bg-base-100 border-base-300 rounded-box grid gap-3 border p-3 sm:grid-cols-[11rem_minmax(0,1fr)]">
	<div class="bg-base-200 grid aspect-4/3 place-items-center overflow-hidden rounded-md">
		{#if media.facts.kind === 'picture'}<img {src} alt={media.alt} loading="lazy" class="size-full object-contain" />
		{:else}<!-- svelte-ignore a11y_media_has_caption --><video
				{src}
				controls
				preload="metadata"
				class="size-full object-contain"
			></video>{/if}
	</div>
	<div class="grid min-w-0 content-start gap-1.5">
		<input
			class="input input-sm w-full font-semibold"
			aria-label={`Name of ${media.name}`}
			value={media.name}
			onchange={(event) => onchange({ name: event.currentTarget.value })}
		/>
		<p class="text-muted font-mono text-[12px]">{factsText(media.facts)}</p>
		<Findings findings={media.findings} />
		<input
			class="input input-sm w-full"
			placeholder="What it shows, for those who cannot see it"
			aria-label={`What ${media.name} shows`}
			value={media.alt}
			onchange={(event) => onchange({ alt: event.currentTarget.value })}
		/>
		<p class="text-muted flex flex-wrap items-center gap-2 text-[13px]">
			<span class="min-w-0 flex-1"
				>{media.usedIn.length > 0 ? `shown in ${media.usedIn.join(', ')}` : 'not used yet'}</span
			>
			{#if media.usedIn.length === 0}<button
					type="button"
					class="btn btn-ghost btn-xs"
					onclick={() => onchange({ removed: true })}>Take from the shelf</button
				>{/if}
		</p>
	</div>
</li>
