<script lang="ts">
	import { untrack } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { provideStoreSources } from '$lib/editor/storeSources.svelte.js';
	import { hooksOf } from '@anbau/core/pieces';
	import StoreSettings from '$lib/store/StoreSettings.svelte';
	import HouseTabs from '$lib/store/HouseTabs.svelte';

	let { data } = $props();
	untrack(() => provideStoreSources([], data.icons));
	const { store, origin } = $derived(data);
	const script = $derived(
		`<script async src="${origin}/live/v1/anbau.js"\n  data-store="${store.key}" data-page="product" data-id="{key}"></` +
			'script>'
	);
	const policy = $derived(
		`script-src ${origin}; style-src ${origin}; img-src ${origin}; media-src ${origin}; connect-src ${origin}; frame-src ${[origin, ...store.settings.frameHosts].join(' ')}`
	);

	async function copy(text: string) {
		try {
			await navigator.clipboard.writeText(text);
			toast('Copied.');
		} catch {
			toast.error('The browser does not let this page copy; select the text instead.');
		}
	}
</script>

{#snippet code(text: string, name: string)}
	<div class="mt-2 flex items-start gap-2">
		<pre
			class="bg-base-200 rounded-field min-w-0 flex-1 p-3 font-mono text-[13px] wrap-anywhere whitespace-pre-wrap">{text}</pre>
		<button class="btn btn-sm" onclick={() => copy(text)} aria-label={`Copy ${name}`}>Copy</button>
	</div>
{/snippet}

<svelte:head><title>Store · Anbau</title></svelte:head>
<main class="mx-auto max-w-[1000px] px-3 py-4 sm:px-5">
	<h1 class="text-[23px]">{store.name}</h1>
	<p class="text-muted mt-1">
		<a class="link" href={store.url} target="_blank" rel="noopener">{store.url}</a> · {store.currency} · {store.zone}
	</p>
	<section class="bg-base-100 border-base-300 rounded-box mt-4 border p-5">
		<h2 class="text-[17px]">Into the theme</h2>
		<p class="mt-1">
			One script tag in the theme’s head. On each page <code>data-page</code> is <code>product</code>,
			<code>category</code>, <code>article</code>, <code>home</code>, <code>list</code> or <code>plain</code>, and
			<code>data-id</code> the key of the product or category.
		</p>
		{@render code(script, 'the script tag')}
		<p class="mt-4">Where the theme has a Content-Security-Policy, it needs these lines:</p>
		{@render code(policy, 'the policy')}
		<p class="mt-4">
			A marker wherever pieces may hang; it is empty until something does. In the <code>tabs</code> marker the theme’s
			own panels carry <code>data-anbau-tab</code>, their headings <code>data-anbau-label</code>.
		</p>
		{@render code(
			'<div data-anbau-hook="above-buy"></div>\n\n<div data-anbau-hook="tabs">\n  <section data-anbau-tab="description"><h2 data-anbau-label>Description</h2> … </section>\n</div>',
			'the markers'
		)}
		<details class="mt-4">
			<summary class="cursor-pointer font-semibold">All hooks of a product page</summary>
			<ul class="mt-2 columns-2 sm:columns-3">
				{#each hooksOf('product') as hook (hook.id)}<li class="py-0.5">
						<code class="text-[13px]">{hook.id}</code> <span class="text-muted text-[13px]">{hook.title}</span>
					</li>{/each}
			</ul>
		</details>
	</section>
	<p class="mt-4">
		<a class="link" href="/hooks"
			>Hooks: where they were seen in the shop, selectors for a theme without markers, own hooks</a
		>
		·
		<a class="link" href="/exceptions">Exceptions of single products</a>
	</p>
	<HouseTabs tabs={data.houseTabs} strip={store.strip} />
	<StoreSettings {store} feed={data.feed} />
</main>
