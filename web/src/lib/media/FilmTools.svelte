<script lang="ts">
	import { toast } from 'svelte-sonner';
	import type { MediaView } from '$lib/contracts.js';
	import ShelfPicker from './ShelfPicker.svelte';
	import { Uploads } from './uploads.svelte.js';

	/** A film's still picture, taken from the frame that is seen, and its captions. */
	interface Props {
		media: MediaView;
		video: HTMLVideoElement | undefined;
		onchange: (change: { poster?: string; captions?: string }) => void;
	}
	let { media, video, onchange }: Props = $props();
	const uploads = new Uploads(({ address }) => onchange({ poster: address }));

	/** Draws the frame that is seen and puts it on the shelf. */
	function takeFrame() {
		if (!video || video.readyState < HTMLMediaElement.HAVE_CURRENT_DATA)
			return void toast('Play the film, or move along it, to the frame that you want.');
		const canvas = Object.assign(document.createElement('canvas'), {
			width: video.videoWidth,
			height: video.videoHeight
		});
		canvas.getContext('2d')?.drawImage(video, 0, 0);
		canvas.toBlob(
			(blob) => {
				const name = `Still of ${media.name.replace(/\.\w+$/, '')}.jpg`;
				if (blob) uploads.send([new File([blob], name, { type: 'image/jpeg' })]);
				else toast.error('This frame cannot be taken.');
			},
			'image/jpeg',
			0.85
		);
	}
	const problem = $derived(uploads.list.find((one) => one.problem)?.problem);
</script>

<div class="flex flex-wrap items-center gap-2 text-[13px]">
	<button type="button" class="btn btn-xs" onclick={takeFrame}
		>{media.poster ? 'Another still picture: this frame' : 'Still picture: this frame'}</button
	>
	{#if media.poster}<button type="button" class="btn btn-ghost btn-xs" onclick={() => onchange({ poster: '' })}
			>No still picture</button
		>{/if}
	{#if problem}<span class="text-error" role="alert">{problem}</span>{/if}
</div>
<ShelfPicker kind="captions" address={media.captions} onpick={({ address }) => onchange({ captions: address })} />
