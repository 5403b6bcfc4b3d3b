<script lang="ts">
	import type { PageDocument } from '@anbau/core/placement';

	/** A snapshot of a real product page with the draft put in, scrolled to the piece. */
	interface Props {
		product: string;
		document: PageDocument;
		focus: string | null;
		width: number;
		onmissing: (hooks: string[]) => void;
	}
	let { product, document, focus, width, onmissing }: Props = $props();

	let frame = $state<HTMLIFrameElement>();
	let ready = $state(0);
	let boxWidth = $state(0);
	let boxHeight = $state(0);
	const scale = $derived(boxWidth === 0 ? 1 : Math.min(1, boxWidth / width));

	function hear({ data, source }: MessageEvent<unknown>) {
		if (!frame || source !== frame.contentWindow || typeof data !== 'object' || data === null || !('anbau' in data))
			return;
		if (data.anbau === 'ready') ready++;
		if (data.anbau === 'shown' && 'missing' in data && Array.isArray(data.missing)) onmissing(data.missing.map(String));
	}
	$effect(() => {
		if (ready > 0) frame?.contentWindow?.postMessage({ anbau: 'show', document, focus }, '*');
	});
</script>

<svelte:window onmessage={hear} />
<div
	class="border-base-300 rounded-box bg-base-100 relative min-h-72 flex-1 overflow-hidden border"
	bind:clientWidth={boxWidth}
	bind:clientHeight={boxHeight}
>
	<iframe
		bind:this={frame}
		title="The product’s page with this piece"
		src={`/preview/${encodeURIComponent(product)}`}
		sandbox="allow-scripts"
		class="absolute top-0 left-1/2 origin-top bg-white"
		style:width={`${width}px`}
		style:height={`${boxHeight / scale}px`}
		style:transform={`translateX(-50%) scale(${scale})`}
	></iframe>
</div>
