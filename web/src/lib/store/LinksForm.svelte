<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import type { OembedProvider } from '@anbau/core/media';
	import type { StoreView } from '$lib/contracts.js';

	/** Whose frames are let into the shop, and who describes links by oEmbed. */
	interface Props {
		settings: StoreView['settings'];
		faults: Record<string, string>;
		onchange: (change: Partial<StoreView['settings']>) => void;
	}
	let { settings, faults, onchange }: Props = $props();
	const EMPTY: OembedProvider = { name: '', schemes: [], endpoint: '', keyName: '', key: '' };
	let fresh = $state<OembedProvider | null>(null);
	let host = $state('');
	const faultsAt = (at: string) =>
		Object.entries(faults).flatMap(([place, message]) => (place.startsWith(at) ? [message] : []))[0];

	function addHost() {
		const name = host.trim().toLowerCase();
		if (name === '' || settings.frameHosts.includes(name)) return;
		onchange({ frameHosts: [...settings.frameHosts, name] });
		host = '';
	}
	function change(at: number, change: Partial<OembedProvider>) {
		onchange({ providers: settings.providers.map((one, i) => (i === at ? { ...one, ...change } : one)) });
	}
	function add() {
		if (!fresh) return;
		onchange({ providers: [...settings.providers, fresh] });
		fresh = null;
	}
	const lines = (text: string) =>
		text
			.split(/\s+/)
			.map((line) => line.trim())
			.filter((line) => line !== '');
</script>

<h2 class="text-[17px]">Links and frames</h2>
<p class="text-muted mt-1">
	Films, maps and forms of other sites show in frames. Only these sites are let in; visitors click before anything is
	asked of them. Acts at once.
</p>
<div class="mt-3 flex flex-wrap items-center gap-1.5">
	{#each settings.frameHosts as one (one)}
		<span class="chip bg-plum-soft text-plum h-7"
			>{one}<button
				type="button"
				class="cursor-pointer"
				aria-label={`Do not let ${one} in`}
				onclick={() => onchange({ frameHosts: settings.frameHosts.filter((each) => each !== one) })}
				><X class="size-3.5" /></button
			></span
		>
	{/each}
	<form
		class="flex gap-1.5"
		onsubmit={(event) => {
			event.preventDefault();
			addHost();
		}}
	>
		<input class="input input-sm h-8 w-44" placeholder="films.example" aria-label="Host to let in" bind:value={host} />
		<button class="btn btn-sm h-8">Let in</button>
	</form>
</div>
{#if faultsAt('/settings/frameHosts')}<p class="text-error mt-1">This {faultsAt('/settings/frameHosts')}.</p>{/if}
<h3 class="mt-4 text-[14px]">Who describes links (oEmbed)</h3>
<ul class="mt-1.5 grid gap-2">
	{#each settings.providers as provider, i (i)}
		<li class="border-base-300 rounded-box flex flex-wrap items-end gap-3 border p-3 text-[13px]">
			<span class="min-w-0 flex-1"
				><b class="block">{provider.name}</b><span class="text-muted block truncate font-mono text-[12px]"
					>{provider.schemes.join(' ')}</span
				><span class="text-muted block truncate font-mono text-[12px]">asked at {provider.endpoint}</span></span
			>
			{#if provider.keyName}
				<label class="grid gap-0.5"
					><span class="text-muted">Its key, sent as “{provider.keyName}”</span><input
						class="input input-sm h-8 w-52"
						type="password"
						autocomplete="off"
						value={provider.key}
						onchange={(event) => change(i, { key: event.currentTarget.value.trim() })}
					/></label
				>
			{/if}
			<button
				type="button"
				class="btn btn-ghost btn-sm"
				onclick={() => onchange({ providers: settings.providers.filter((_, at) => at !== i) })}>Remove</button
			>
		</li>
	{/each}
</ul>
{#if fresh}
	{@const at = `/settings/providers/${settings.providers.length}`}
	<div class="border-base-300 rounded-box mt-2 grid gap-2 border p-3 text-[13px] sm:grid-cols-2">
		<label class="grid gap-0.5"
			><span class="text-muted">Name</span><input class="input input-sm h-8 w-full" bind:value={fresh.name} /></label
		>
		<label class="grid gap-0.5"
			><span class="text-muted">Where it is asked</span><input
				class="input input-sm h-8 w-full"
				placeholder="https://films.example/oembed"
				bind:value={fresh.endpoint}
			/></label
		>
		<label class="grid gap-0.5"
			><span class="text-muted">Its addresses, * for any part</span><textarea
				class="textarea textarea-sm w-full"
				placeholder="https://films.example/watch/*"
				oninput={(event) => fresh && (fresh.schemes = lines(event.currentTarget.value))}></textarea></label
		>
		<label class="grid gap-0.5"
			><span class="text-muted">If it wants a key: the name of its parameter</span><input
				class="input input-sm h-8 w-full"
				placeholder="none"
				bind:value={fresh.keyName}
			/></label
		>
		{#if faultsAt(at)}<p class="text-error sm:col-span-2">This {faultsAt(at)}.</p>{/if}
		<span class="flex gap-2"
			><button type="button" class="btn btn-primary btn-sm" onclick={add}>Add</button><button
				type="button"
				class="btn btn-ghost btn-sm"
				onclick={() => (fresh = null)}>Not now</button
			></span
		>
	</div>
{:else}
	<button type="button" class="btn btn-sm mt-2" onclick={() => (fresh = { ...EMPTY })}>Add a provider</button>
{/if}
