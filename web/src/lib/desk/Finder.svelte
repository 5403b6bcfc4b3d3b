<script lang="ts">
	import { goto } from '$app/navigation';
	import { Dialog } from 'bits-ui';
	import type { PieceView } from '$lib/contracts.js';
	import { catalogIndex } from '$lib/reach/catalogIndex.js';
	import { request } from './request.js';

	/** Finds anything – screens, pieces, products, tags – by Ctrl K, and lists the keys by `?`. */
	interface Hit {
		kind: string;
		label: string;
		href: string;
	}
	let open = $state<'find' | 'keys' | null>(null);
	let text = $state('');
	let pieces = $state.raw<Hit[]>([]);
	let fromCatalog = $state.raw<Hit[]>([]);
	let active = $state(0);
	/** The answer to what was typed last. */
	let pending: Promise<void> = Promise.resolve();

	const screens: Hit[] = [
		['Library', '/library'],
		['Page plan', '/plan'],
		['Catalog', '/catalog'],
		['Hooks in the shop', '/hooks'],
		['Exceptions', '/exceptions'],
		['Attributes', '/attributes'],
		['Media', '/media'],
		['Store', '/store'],
		['Review & publish', '/releases']
	].map(([label = '', href = '']) => ({ kind: 'screen', label, href }));
	const hits = $derived.by(() => {
		const wanted = text.trim().toLowerCase();
		const own = [...pieces, ...screens].filter(({ label }) => label.toLowerCase().includes(wanted));
		return [...own.slice(0, 8), ...fromCatalog].slice(0, 14);
	});
	const keys = [
		['Ctrl K or ⌘ K', 'find a piece, product, tag or screen'],
		['[ and ]', 'the product before, the next product'],
		['Ctrl Z, Ctrl Shift Z', 'undo, redo on the workbench; undo a move on the plan'],
		['Arrows', 'move a label on the plan along its hook, or to another'],
		['Enter', 'open, or take the first that is found'],
		['Esc', 'step back'],
		['?', 'these keys']
	];

	$effect(() => {
		if (open !== 'find') return;
		const asked = text;
		pending = catalogIndex.ask('search', { text: asked, fields: ['product', 'tag'] }).then((found) => {
			if (asked !== text) return;
			fromCatalog =
				asked.trim() === ''
					? []
					: found.map(({ field, value, label }) => ({
							kind: field,
							label,
							href:
								field === 'tag' ? `/catalog?tag=${encodeURIComponent(value)}` : `/catalog/${encodeURIComponent(value)}`
						}));
		});
	});

	async function begin() {
		open = 'find';
		text = '';
		active = 0;
		const all = await request<PieceView[]>('/api/v1/pieces');
		pieces = all.map(({ kind, name, slug }) => ({ kind, label: name, href: `/library/${slug}` }));
	}

	function go(hit: Hit | undefined) {
		if (!hit) return;
		open = null;
		void goto(hit.href);
	}

	function onkeydown(event: KeyboardEvent) {
		const typing =
			event.target instanceof HTMLElement &&
			(event.target.isContentEditable || /^(input|textarea|select)$/i.test(event.target.tagName));
		if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
			event.preventDefault();
			void begin();
		} else if (event.key === '?' && !typing) open = 'keys';
	}

	function onsearchkey(event: KeyboardEvent) {
		const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
		if (step) {
			event.preventDefault();
			active = (active + step + hits.length) % Math.max(1, hits.length);
		} else if (event.key === 'Enter') void pending.then(() => go(hits[active]));
		else active = 0;
	}
</script>

<svelte:window {onkeydown} />
<Dialog.Root bind:open={() => open !== null, (now) => (open = now ? open : null)}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-50 bg-black/30" />
		<Dialog.Content
			class="bg-base-100 rounded-box shadow-float fixed top-[14vh] left-1/2 z-50 w-[min(34rem,94vw)] -translate-x-1/2 p-4"
		>
			<Dialog.Title class="sr-only">{open === 'keys' ? 'Keys' : 'Find'}</Dialog.Title>
			{#if open === 'keys'}
				<h2 class="text-[17px]">Keys</h2>
				<dl class="mt-2">
					{#each keys as [key, words] (key)}<div class="flex gap-4 py-1">
							<dt class="w-44 font-mono text-[13px]">{key}</dt>
							<dd>{words}</dd>
						</div>{/each}
				</dl>
			{:else}
				<input
					class="input w-full"
					role="combobox"
					aria-expanded="true"
					aria-controls="finder"
					aria-activedescendant={`hit-${active}`}
					aria-label="Find a piece, product, tag or screen"
					placeholder="Find a piece, product, tag or screen"
					bind:value={text}
					onkeydown={onsearchkey}
				/>
				<div id="finder" role="listbox" aria-label="Found" class="mt-2">
					{#each hits as hit, i (hit.kind + hit.href)}
						<a
							id={`hit-${i}`}
							role="option"
							aria-selected={i === active}
							tabindex="-1"
							href={hit.href}
							class={['rounded-field flex gap-3 px-2 py-1', i === active && 'bg-base-200']}
							onclick={() => (open = null)}
						>
							<span class="text-muted w-16 text-[13px]">{hit.kind}</span><span class="min-w-0 flex-1 truncate"
								>{hit.label}</span
							>
						</a>
					{:else}
						<p class="text-muted px-2">Nothing is called so.</p>
					{/each}
				</div>
			{/if}
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
