<script lang="ts">
	import Upload from '@lucide/svelte/icons/upload';
	import { untrack } from 'svelte';
	import { toast } from 'svelte-sonner';
	import type { MediaView, Replaced, StoreView } from '$lib/contracts.js';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import { waitingCount } from '$lib/desk/waiting.svelte.js';
	import { counted } from '$lib/desk/words.js';
	import MediaCard from './MediaCard.svelte';
	import UploadList from './UploadList.svelte';
	import { Uploads } from './uploads.svelte.js';

	/** The shelf of pictures and films: what is wrong with each, where it is used; new ones by drop, paste or picker. */
	let { data }: { data: { store: StoreView; media: MediaView[] } } = $props();
	let media = $state.raw(untrack(() => data.media));
	let text = $state('');
	let isOver = $state(false);
	const uploads = new Uploads((one) => (media = [one, ...media.filter(({ sha256 }) => sha256 !== one.sha256)]));
	let toReplace = $state.raw<Uploads | null>(null);
	const shown = $derived(media.filter(({ name }) => name.toLowerCase().includes(text.trim().toLowerCase())));
	const wrong = $derived(media.filter(({ findings }) => findings.some(({ level }) => level === 'bad')).length);

	/** Uploads another file and puts it in the place of one that is shown. */
	function replace(one: MediaView, file: File) {
		const replacing = new Uploads(async (next) => {
			try {
				const path = `/api/v1/media/${one.sha256}/replacement`;
				const { pieces, products } = await request<Replaced>(path, { method: 'POST', body: { by: next.sha256 } });
				toast(
					`In its place in ${counted(pieces, 'piece')}, which wait to be published, and on ${counted(products, 'product')} at once.`
				);
				media = await request<MediaView[]>('/api/v1/media');
				void waitingCount.refresh();
			} catch (error) {
				toast.error(sentenceOf(error));
			}
		});
		replacing.send([file]);
		toReplace = replacing;
	}

	async function change(one: MediaView, change: object) {
		try {
			const path = `/api/v1/media/${one.sha256}`;
			const changed = await request<MediaView>(path, { method: 'PATCH', body: change });
			// A still picture or captions that were uploaded with it are on the shelf too, and used now.
			if ('poster' in change || 'captions' in change) return void (media = await request<MediaView[]>('/api/v1/media'));
			if (!changed.removed) return void (media = media.map((each) => (each.sha256 === one.sha256 ? changed : each)));
			media = media.filter(({ sha256 }) => sha256 !== one.sha256);
			const bringBack = async () => {
				media = [await request<MediaView>(path, { method: 'PATCH', body: { removed: false } }), ...media];
			};
			toast(`“${one.name}” is off the shelf.`, { action: { label: 'Undo', onClick: () => void bringBack() } });
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
</script>

<svelte:window
	onpaste={(event) => {
		const files = event.clipboardData?.files ?? [];
		if (files.length > 0) uploads.send(files);
	}}
/>
<main
	class={[
		'mx-auto min-h-[80vh] max-w-[1240px] px-3 py-4 sm:px-5',
		isOver && 'outline-primary outline-2 outline-dashed'
	]}
	ondragover={(event) => {
		if (!event.dataTransfer?.types.includes('Files')) return;
		event.preventDefault();
		isOver = true;
	}}
	ondragleave={() => (isOver = false)}
	ondrop={(event) => {
		event.preventDefault();
		isOver = false;
		uploads.send(event.dataTransfer?.files ?? []);
	}}
>
	<div class="flex flex-wrap items-center gap-3">
		<h1 class="text-[23px]">Media</h1>
		<span class="text-muted"
			>{counted(media.length, 'file')}{wrong > 0 ? `, ${wrong} will not play everywhere` : ''}</span
		>
		<label class="btn btn-primary btn-sm ml-auto h-9 cursor-pointer"
			><Upload class="size-4" />Upload<input
				type="file"
				class="sr-only"
				multiple
				accept="image/*,video/*,.vtt,text/vtt"
				onchange={(event) => {
					uploads.send(event.currentTarget.files ?? []);
					event.currentTarget.value = '';
				}}
			/></label
		>
	</div>
	<p class="text-muted mt-1">
		Pictures, films and captions for your pieces. Drop files anywhere here, or paste them. Each is read when it comes
		and judged before it is public.
	</p>
	<div class="mt-3">
		<UploadList {uploads} />{#if toReplace}<UploadList uploads={toReplace} />{/if}
	</div>
	{#if media.length === 0}
		<p class="bg-base-100 border-base-300 rounded-box mt-4 border p-5">
			Nothing is on the shelf yet. Upload a picture or a film, then show it in a piece of the kind media.
		</p>
	{:else}
		<input class="input input-sm mt-3 w-72" placeholder="Name" aria-label="Search media" bind:value={text} />
		<ul class="mt-3 grid gap-3 lg:grid-cols-2">
			{#each shown as one (one.sha256)}
				<MediaCard
					media={one}
					base={data.store.base}
					onchange={(of) => void change(one, of)}
					onreplace={(file) => replace(one, file)}
				/>
			{/each}
		</ul>
	{/if}
</main>
