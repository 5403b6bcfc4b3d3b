<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import { FORMATS, liveValueLabel, type Format } from '@anbau/core/pieces';
	import type { SelectedValue } from './bodyEditor.js';
	import { useSources } from './sources.js';

	/** How a selected live value is written, and what it says on products that have none. */
	let { editor, value }: { editor: Editor; value: SelectedValue } = $props();
	const sources = useSources();
	const attribute = $derived(sources.attributes().find((one) => value.name === `attribute.${one.code}`));
	const label = $derived(liveValueLabel(value.name, () => attribute?.label));
	const isDate = $derived(value.name === 'delivery.date' || attribute?.type === 'date');
	const isNumber = $derived(/^product\.(stock|sold)$/.test(value.name) || attribute?.type === 'number');
	const isMoney = $derived(/^product\.(price|listPrice|saving)$/.test(value.name));
	const formats = $derived(
		FORMATS.filter((format) => (isDate ? format !== 'whole' : isMoney || isNumber ? format === 'whole' : false))
	);
	const formatWords: Record<Format, string> = {
		short: 'as 31/03/2027',
		medium: 'as 31 Mar 2027',
		long: 'as 31 March 2027',
		full: 'with its weekday',
		weekday: 'the weekday alone',
		whole: 'without decimals'
	};

	function set(change: Record<string, unknown>) {
		const { from } = editor.state.selection;
		editor.chain().updateAttributes('liveValue', change).setNodeSelection(from).run();
	}
	function setForm(key: 'one' | 'other', text: string) {
		const forms = { one: '#', other: '#', ...value.forms, [key]: text };
		set({ forms: forms.one === '#' && forms.other === '#' ? null : forms });
	}
</script>

<div class="border-base-300 flex flex-wrap items-center gap-x-4 gap-y-2 border-t px-4 py-2 text-[13px]">
	<label class="flex flex-wrap items-center gap-2">
		<span>Where a product has no <b>{label}</b>, say</span>
		<input
			class="input input-sm h-7 w-44"
			placeholder="nothing: the paragraph goes"
			value={value.fallback}
			oninput={(event) => set({ fallback: event.currentTarget.value === '' ? null : event.currentTarget.value })}
		/>
	</label>
	{#if formats.length > 0}
		<label class="flex items-center gap-2"
			>Written<select
				class="select select-sm h-7 w-auto"
				value={value.format ?? ''}
				onchange={(event) => set({ format: event.currentTarget.value || null })}
			>
				<option value="">as usual</option>
				{#each formats as format (format)}<option value={format}>{formatWords[format]}</option>{/each}
			</select></label
		>
	{/if}
	{#if isNumber}
		{#each [['one', 'For one'], ['other', 'For several']] as const as [key, words] (key)}
			<label class="flex items-center gap-2"
				>{words}<input
					class="input input-sm h-7 w-32"
					placeholder="#"
					value={value.forms?.[key] ?? ''}
					oninput={(event) => setForm(key, event.currentTarget.value || '#')}
				/></label
			>
		{/each}
		<span class="text-muted"># is the number</span>
	{/if}
</div>
