<script lang="ts">
	import Upload from '@lucide/svelte/icons/upload';
	import X from '@lucide/svelte/icons/x';
	import type { UploadedFile } from '$lib/contracts.js';
	import { problemOf, sentenceOf } from '$lib/desk/request.js';

	/** Several documents, each with a label, a file or an address, and a last valid day. */
	let { text = $bindable() }: { text: string } = $props();
	interface Row {
		label: string;
		address: string;
		until: string;
	}
	const rowsOf = (written: string): Row[] =>
		written
			.split('|')
			.filter((part) => part.trim() !== '')
			.map((part) => {
				const [label = '', address = '', until = ''] = part.split(';').map((one) => one.trim());
				return { label, address, until };
			});
	let rows = $state.raw<Row[]>(rowsOf(text));
	let problem = $state('');
	let sending = $state.raw<{ name: string; abort: AbortController } | null>(null);

	function set(changed: Row[]) {
		rows = changed;
		text = rows
			.filter(({ label, address }) => label.trim() !== '' || address.trim() !== '')
			.map(({ label, address, until }) => [label, address, ...(until ? [until] : [])].join('; '))
			.join(' | ');
	}
	const change = (i: number, of: Partial<Row>) => set(rows.map((row, at) => (at === i ? { ...row, ...of } : row)));

	async function upload(files: FileList | null) {
		problem = '';
		for (const file of files ?? []) {
			const abort = new AbortController();
			sending = { name: file.name, abort };
			try {
				const path = `/api/v1/files?name=${encodeURIComponent(file.name)}`;
				const headers = { 'content-type': 'application/octet-stream' };
				const response = await fetch(path, { method: 'POST', body: file, headers, signal: abort.signal });
				if (!response.ok) throw await problemOf(response);
				const { address } = (await response.json()) as UploadedFile;
				set([...rows, { label: file.name.replace(/\.[^.]+$/, '').replace(/[|;]/g, ' '), address, until: '' }]);
			} catch (error) {
				if (!abort.signal.aborted) problem = sentenceOf(error);
			} finally {
				sending = null;
			}
		}
	}
</script>

<ul class="grid gap-2">
	{#each rows as row, i (i)}
		<li class="border-base-300 rounded-field grid gap-2 border p-2 text-[13px] sm:grid-cols-[1fr_9.5rem_auto]">
			<label class="grid gap-0.5"
				>Label<input
					class="input input-sm w-full"
					value={row.label}
					oninput={(event) => change(i, { label: event.currentTarget.value.replace(/[|;]/g, ' ') })}
				/></label
			>
			<label class="grid gap-0.5"
				>Last valid day<input
					type="date"
					class="input input-sm w-full"
					value={row.until}
					onchange={(event) => change(i, { until: event.currentTarget.value })}
				/></label
			>
			<button
				type="button"
				class="btn btn-ghost btn-sm btn-square self-end"
				aria-label={`Remove ${row.label}`}
				onclick={() => set(rows.filter((_, at) => at !== i))}><X class="size-4" /></button
			>
			{#if row.address.startsWith('file:')}
				<span class="text-muted sm:col-span-3">uploaded file {row.address.slice(5, 15)}…</span>
			{:else}
				<label class="grid gap-0.5 sm:col-span-3"
					>Address<input
						class="input input-sm w-full"
						placeholder="https://… or /…"
						value={row.address}
						oninput={(event) => change(i, { address: event.currentTarget.value.trim() })}
					/></label
				>
			{/if}
		</li>
	{/each}
</ul>
<div class="mt-2 flex flex-wrap items-center gap-2">
	<label class="btn btn-sm"
		><Upload class="size-4" />Upload files<input
			type="file"
			multiple
			class="sr-only"
			accept=".pdf,.png,.jpg,.jpeg,.txt,.csv,.zip,.docx,.xlsx"
			onchange={(event) => void upload(event.currentTarget.files)}
		/></label
	>
	<button type="button" class="btn btn-sm" onclick={() => set([...rows, { label: '', address: '', until: '' }])}
		>A link</button
	>
	{#if sending}<span class="text-[13px]"
			>Sending {sending.name} …
			<button type="button" class="link" onclick={() => sending?.abort.abort()}>Stop</button></span
		>{/if}
</div>
{#if problem}<p role="alert" class="text-error mt-2 text-[13px]">{problem}</p>{/if}
