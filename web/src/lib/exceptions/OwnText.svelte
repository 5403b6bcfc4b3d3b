<script lang="ts">
	import { diffWordsWithSpace } from 'diff';
	import { untrack } from 'svelte';
	import type { Product } from '@anbau/core/catalog';
	import { bodyToMarkdown, textsOf, type Body } from '@anbau/core/pieces';
	import type { PieceView } from '$lib/contracts.js';
	import BodyEditor from '$lib/editor/BodyEditor.svelte';
	import Sheet from '$lib/ui/Sheet.svelte';
	import type { ExceptionList } from './exceptionList.svelte.js';

	/** One product's own text in place of a shared one: the shared text beside it, and what differs. */
	interface Props {
		list: ExceptionList;
		product: Product;
		piece: PieceView;
		/** A panel by its slug; null for a message. */
		panel: string | null;
		onclose: () => void;
	}
	let { list, product, piece, panel, onclose }: Props = $props();
	const shared = $derived(textsOf(piece).find((one) => one.panel === panel)?.body);
	const known = untrack(() =>
		list.all.find(
			(one) => one.mode === 'body' && one.product === product.key && one.piece === piece.slug && one.panel === panel
		)
	);
	let body = $state.raw<Body | undefined>(untrack(() => (known?.mode === 'body' ? known.body : shared)));
	const sharedText = $derived(shared ? bodyToMarkdown(shared).markdown : '');
	const ownText = $derived(body ? bodyToMarkdown(body).markdown : '');
	const changes = $derived(diffWordsWithSpace(sharedText, ownText));
	const differs = $derived(sharedText !== ownText);

	async function save() {
		if (!body) return;
		if (await list.put({ product: product.key, piece: piece.slug, mode: 'body', panel, body })) onclose();
	}
</script>

<Sheet title={`Own text on ${product.title}`} {onclose}>
	<p class="text-muted">
		From then on this product no longer follows “{piece.name}”: later changes of the shared text do not come here.
	</p>
	<div class="mt-3 grid gap-4 md:grid-cols-2">
		<section>
			<h3 class="mb-1 text-[14px]">On this product</h3>
			{#if body}<BodyEditor
					{body}
					label="The product’s own text"
					replaced={0}
					onchange={(changed) => (body = changed)}
				/>{/if}
		</section>
		<section>
			<h3 class="mb-1 text-[14px]">Shared text</h3>
			<div class="bg-base-200 rounded-box min-h-24 p-3 text-[13px] whitespace-pre-wrap">{sharedText}</div>
			<h3 class="mt-3 mb-1 text-[14px]">What differs</h3>
			<div class="border-base-300 rounded-box border p-3 text-[13px] whitespace-pre-wrap" aria-label="What differs">
				{#if differs}{#each changes as part, i (i)}{#if part.added}<ins class="bg-moss-soft text-primary no-underline"
								>{part.value}</ins
							>{:else if part.removed}<del class="bg-terracotta-soft text-base-content">{part.value}</del
							>{:else}{part.value}{/if}{/each}{:else}<span class="text-muted">Nothing yet.</span>{/if}
			</div>
		</section>
	</div>
	{#snippet actions()}
		<button type="button" class="btn btn-primary btn-sm h-9" disabled={!differs && !known} onclick={() => void save()}
			>Keep this text here</button
		>
		<button type="button" class="btn btn-sm h-9" onclick={onclose}>Leave it shared</button>
	{/snippet}
</Sheet>
