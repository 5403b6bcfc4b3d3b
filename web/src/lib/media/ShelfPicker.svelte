<script lang="ts">
	import { factsText } from '@anbau/core/media';
	import type { MediaView } from '$lib/contracts.js';
	import { request } from '$lib/desk/request.js';
	import PickList from '$lib/ui/PickList.svelte';
	import Popover from '$lib/ui/Popover.svelte';
	import Findings from './Findings.svelte';
	import UploadList from './UploadList.svelte';
	import { Uploads } from './uploads.svelte.js';

	/** Chooses a picture or film from the shelf, or uploads one. */
	interface Props {
		kind: 'picture' | 'film' | 'captions';
		/** The address that is chosen now. */
		address: string;
		onpick: (media: MediaView) => void;
	}
	let { kind, address, onpick }: Props = $props();
	let shelf = $state.raw<MediaView[]>([]);
	const uploads = new Uploads((one) => {
		shelf = [one, ...shelf];
		onpick(one);
	});
	const words = $derived({ film: 'A film', picture: 'A picture', captions: 'Captions' }[kind]);
	const chosen = $derived(shelf.find((one) => one.address === address));

	$effect(() => {
		void request<MediaView[]>('/api/v1/media').then(
			(found) => (shelf = found),
			() => undefined
		);
	});
	const search = (text: string) =>
		shelf
			.filter(({ facts, name }) => facts.kind === kind && name.toLowerCase().includes(text.trim().toLowerCase()))
			.map(({ address: value, name, facts }) => ({ value, label: name, hint: factsText(facts) }));
</script>

<div class="flex flex-wrap items-center gap-2">
	<Popover label="From the shelf" triggerClass="btn btn-sm" contentClass="w-96">
		{#snippet trigger()}{words} from the shelf …{/snippet}
		{#snippet children(close)}
			<PickList
				label="Search the shelf"
				{search}
				nothing={`No ${kind === 'captions' ? 'file of captions' : kind} on the shelf is called so.`}
				onpick={({ value }) => {
					const one = shelf.find((each) => each.address === value);
					if (one) onpick(one);
					close();
				}}
			/>
		{/snippet}
	</Popover>
	<label class="btn btn-sm cursor-pointer"
		>Upload …<input
			type="file"
			class="sr-only"
			accept={{ film: 'video/*', picture: 'image/*', captions: '.vtt,text/vtt' }[kind]}
			onchange={(event) => uploads.send(event.currentTarget.files ?? [])}
		/></label
	>
	{#if chosen}<b>{chosen.name}</b><span class="text-muted font-mono text-[12px]">{factsText(chosen.facts)}</span>{/if}
</div>
<UploadList {uploads} />
{#if chosen}<Findings findings={chosen.findings} />{/if}
