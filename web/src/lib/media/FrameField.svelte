<script lang="ts">
	import { FRAME_PERMISSIONS, hostOf, readEmbedCode, type Described } from '@anbau/core/media';
	import { quoteText, type MediaSettings } from '@anbau/core/pieces';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import { useFrameHosts } from './frameHosts.svelte.js';

	/** A foreign frame from what its site gives: an address that its provider describes, or an embed code. */
	interface Props {
		settings: MediaSettings;
		set: (change: Partial<MediaSettings>) => void;
	}
	let { settings, set }: Props = $props();
	const hosts = useFrameHosts();
	let pasted = $state('');
	let dropped = $state.raw<string[]>([]);
	let problem = $state('');
	let isAsking = $state(false);
	const host = $derived(hostOf(settings.address));
	const isLetIn = $derived(host === '' || hosts.list.includes(host));

	async function take() {
		const text = pasted.trim();
		if (text === '') return;
		problem = '';
		dropped = [];
		if (text.startsWith('<')) return takeCode(text);
		isAsking = true;
		try {
			const found = await request<Described>('/api/v1/media/links', { method: 'POST', body: { url: text } });
			if (found.type === 'link') return void (problem = 'Its provider has only a link, nothing that could be shown.');
			const { address, ratio, allow, title, author, still } = found;
			dropped = found.dropped;
			const caption = author && settings.caption === '' ? { caption: quoteText(`By ${author}`) } : {};
			const words = { alt: quoteText(title), ...caption };
			set({ type: found.type, address, ratio, allow, ...words, poster: still });
			pasted = '';
		} catch (error) {
			problem = sentenceOf(error);
		} finally {
			isAsking = false;
		}
	}
	function takeCode(code: string) {
		const reading = readEmbedCode(code);
		dropped = reading.dropped;
		if (!reading.frame) return void (problem = 'The code has no frame with an address; nothing of it can be shown.');
		const { address, ratio, allow, title } = reading.frame;
		set({ address, ratio, allow, ...(title ? { alt: quoteText(title) } : {}) });
		pasted = '';
	}
	async function letIn() {
		try {
			await hosts.add(host);
		} catch (error) {
			problem = sentenceOf(error);
		}
	}
	function permit(one: (typeof FRAME_PERMISSIONS)[number], on: boolean) {
		set({ allow: FRAME_PERMISSIONS.filter((each) => (each === one ? on : settings.allow.includes(each))) });
	}
</script>

<div class="grid gap-2">
	<label class="grid gap-0.5"
		><span class="text-muted">Paste its address, or the code that its site gives for embedding</span><textarea
			class="textarea textarea-sm field-sizing-content min-h-16 w-full font-mono text-[13px]"
			spellcheck="false"
			placeholder="https://…   or   <iframe …>"
			bind:value={pasted}
			onpaste={() => setTimeout(() => void take())}></textarea></label
	>
	{#if pasted.trim() !== ''}<button
			type="button"
			class="btn btn-sm justify-self-start"
			disabled={isAsking}
			onclick={() => void take()}>{isAsking ? 'Asking …' : 'Take it'}</button
		>{/if}
	{#if problem}<p class="text-error" role="alert">{problem}</p>{/if}
	{#if dropped.length > 0}
		<p class="text-muted">Only its frame is kept. What fell away: {dropped.join('; ')}.</p>
	{/if}
	{#if !isLetIn}
		<p class="bg-terracotta-soft rounded-field flex flex-wrap items-center gap-2 px-3 py-2">
			<span class="min-w-0 flex-1">Frames of <b>{host}</b> are not let into the shop, so this one does not show.</span
			><button type="button" class="btn btn-sm" onclick={() => void letIn()}>Let {host} in</button>
		</p>
	{/if}
	<fieldset class="flex flex-wrap gap-x-4 gap-y-1">
		<legend class="text-muted">It may use</legend>
		{#each FRAME_PERMISSIONS as one (one)}
			<label class="flex items-center gap-1.5"
				><input
					type="checkbox"
					class="checkbox checkbox-xs"
					checked={settings.allow.includes(one)}
					onchange={(event) => permit(one, event.currentTarget.checked)}
				/>{one.replaceAll('-', ' ')}</label
			>
		{/each}
	</fieldset>
	<p class="text-muted">
		Shown as a still picture and a button; nothing is asked of that site before a visitor clicks.
	</p>
</div>
