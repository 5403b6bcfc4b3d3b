<script lang="ts">
	import { beforeNavigate } from '$app/navigation';
	import { untrack } from 'svelte';
	import type { AttributeDefinition, AttributeValue } from '@anbau/core/catalog';
	import type { Piece } from '@anbau/core/pieces';
	import type { DraftedTheme } from '$lib/contracts.js';
	import type { OwnIcon, PieceView, StoreView } from '$lib/contracts.js';
	import { ExceptionList } from '$lib/exceptions/exceptionList.svelte.js';
	import { provideFrameHosts } from '$lib/media/frameHosts.svelte.js';
	import { provideStoreSources } from '$lib/editor/storeSources.svelte.js';
	import BenchHead from './BenchHead.svelte';
	import Evidence from './Evidence.svelte';
	import { Looking } from './looking.svelte.js';
	import Says from './Says.svelte';
	import Step from './Step.svelte';
	import { Surroundings } from './surroundings.svelte.js';
	import PieceExceptions from '$lib/exceptions/PieceExceptions.svelte';
	import Where from './Where.svelte';
	import Which from './Which.svelte';
	import WhoAndWhen from './WhoAndWhen.svelte';
	import { Workbench } from './workbench.svelte.js';

	interface Props {
		data: DraftedTheme & {
			piece: PieceView;
			others: PieceView[];
			now: number;
			product: string | null;
			store: StoreView;
			attributes: AttributeDefinition[];
			categoryValues: Record<string, Record<string, AttributeValue>>;
			icons: OwnIcon[];
		};
	}
	let { data }: Props = $props();

	const bench = untrack(() => new Workbench(data.piece));
	const exceptions = untrack(() => new ExceptionList(data.exceptions));
	const icons = untrack(() => provideStoreSources(data.attributes, data.icons));
	provideFrameHosts(() => data.store);
	const around = untrack(() => {
		const others: Record<string, Piece> = Object.fromEntries(data.others.map((one) => [one.slug, one]));
		const off = new Set(data.others.filter((one) => !one.on).map((one) => one.slug));
		return new Surroundings({
			...data,
			others,
			off,
			icons,
			get store() {
				return data.store;
			},
			get exceptions() {
				return exceptions.all;
			}
		});
	});
	const looking = untrack(() => new Looking(bench, around, data.now, data.product));
	$effect(() => looking.follow());

	function onkeydown(event: KeyboardEvent) {
		const typing =
			event.target instanceof HTMLElement &&
			(event.target.isContentEditable || /^(input|textarea|select)$/i.test(event.target.tagName));
		if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
			event.preventDefault();
			if (event.shiftKey) bench.redo();
			else bench.undo();
		} else if (!typing && event.key === '[') looking.leaf(-1);
		else if (!typing && event.key === ']') looking.leaf(1);
	}
	beforeNavigate(() => void bench.flush());
</script>

<svelte:window
	{onkeydown}
	onbeforeunload={(event) => bench.saveState !== 'saved' && (void bench.flush(), event.preventDefault())}
/>
<div class="grid lg:h-[calc(100dvh-52px)] lg:grid-cols-[minmax(0,1.46fr)_minmax(0,1fr)]">
	<main class="min-w-0 px-3 py-3.5 sm:px-5 lg:overflow-y-auto">
		<BenchHead {bench} zone={data.store.zone} />
		<Step number={1} title="Says"><Says {bench} onlook={(product) => void looking.lookAt(product)} /></Step>
		<Step number={2} title="Where"
			><Where
				{bench}
				document={looking.document}
				hooks={data.hooks}
				nameOf={(slug) => (slug === bench.slug ? bench.piece.name : (around.nameOf(slug) ?? slug))}
			/></Step
		>
		<Step
			number={3}
			title={bench.piece.placements.some(({ page }) => page !== 'product')
				? 'Which products and pages'
				: 'Which products'}><Which {bench} {around} summary={looking.summary} /></Step
		>
		<Step number={4} title="Who and when" last><WhoAndWhen {bench} zone={data.store.zone} now={data.now} /></Step>
		<PieceExceptions list={exceptions} slug={bench.slug} />
		<label class="text-muted mt-1 grid gap-1 pl-8 text-[13px]">
			Note for colleagues
			<textarea
				class="textarea textarea-sm text-base-content field-sizing-content min-h-9 w-full"
				rows="1"
				value={bench.piece.note}
				oninput={(event) => bench.set('note', { note: event.currentTarget.value })}></textarea>
		</label>
	</main>
	<aside
		class="border-base-300 min-w-0 border-l lg:overflow-y-auto"
		style:background="var(--anbau-desk)"
		aria-label="The piece on a real page"
	>
		<Evidence
			slug={bench.slug}
			shown={looking.shown}
			leafed={looking.leafed}
			product={looking.product}
			document={looking.document}
			explanation={looking.explanation}
			summary={looking.summary}
			onshown={(shown) => looking.show(shown)}
			onleaf={(step) => looking.leaf(step)}
			onlook={(product) => void looking.lookAt(product)}
			onmissing={(hooks) => (looking.missing = hooks)}
		/>
	</aside>
</div>
