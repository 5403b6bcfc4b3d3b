<script lang="ts">
	import Captions from '@lucide/svelte/icons/captions';
	import { factsText } from '@anbau/core/media';
	import { uploadOf } from '@anbau/core/pieces';
	import type { MediaView } from '$lib/contracts.js';
	import Findings from './Findings.svelte';
	import FilmTools from './FilmTools.svelte';

	/** One file on the shelf. */
	interface Props {
		media: MediaView;
		/** Where uploads are served. */
		base: string;
		onchange: (change: Partial<Pick<MediaView, 'name' | 'alt' | 'poster' | 'captions' | 'removed'>>) => void;
		/** Puts another file in its place wherever it is shown. */
		onreplace: (file: File) => void;
	}
	let { media, base, onchange, onreplace }: Props = $props();
	const srcOf = (address: string) => {
		const upload = uploadOf(address);
		return upload ? `${base}/media/${upload.sha256}.${upload.ending}` : undefined;
	};
	const src = $derived(srcOf(media.address));
	let video = $state<HTMLVideoElement>();
	const shownIn = $derived(
		media.usedIn.length > 3
			? `${media.usedIn.slice(0, 3).join(', ')} and ${media.usedIn.length - 3} more`
			: media.usedIn.join(', ')
	);
</script>

<li class="bg-base-100 border-base-300 rounded-box grid gap-3 border p-3 sm:grid-cols-[11rem_minmax(0,1fr)]">
	<div class="bg-base-200 grid aspect-4/3 place-items-center overflow-hidden rounded-md">
		{#if media.facts.kind === 'picture'}<img {src} alt={media.alt} loading="lazy" class="size-full object-contain" />
		{:else if media.facts.kind === 'film'}<!-- svelte-ignore a11y_media_has_caption --><video
				bind:this={video}
				{src}
				poster={srcOf(media.poster)}
				controls
				preload="metadata"
				class="size-full object-contain"
			></video>{:else}<Captions class="text-muted size-10" aria-hidden="true" />{/if}
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
		{#if media.facts.kind === 'film'}<FilmTools {media} {video} {onchange} />{/if}
		{#if media.facts.kind !== 'captions'}<input
				class="input input-sm w-full"
				placeholder="What it shows, for those who cannot see it"
				aria-label={`What ${media.name} shows`}
				value={media.alt}
				onchange={(event) => onchange({ alt: event.currentTarget.value })}
			/>{/if}
		<p class="text-muted flex flex-wrap items-center gap-2 text-[13px]">
			<span class="min-w-0 flex-1" title={media.usedIn.join(', ')}
				>{media.usedIn.length > 0 ? `shown in ${shownIn}` : 'not used yet'}</span
			>
			{#if media.usedIn.length === 0}<button
					type="button"
					class="btn btn-ghost btn-xs"
					onclick={() => onchange({ removed: true })}>Take from the shelf</button
				>{:else}<label class="btn btn-ghost btn-xs cursor-pointer"
					>Replace everywhere …<input
						type="file"
						class="sr-only"
						onchange={(event) => {
							const [file] = event.currentTarget.files ?? [];
							if (file) onreplace(file);
							event.currentTarget.value = '';
						}}
					/></label
				>{/if}
		</p>
	</div>
</li>
