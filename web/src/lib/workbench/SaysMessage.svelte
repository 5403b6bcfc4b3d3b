<script lang="ts">
	import { hrefFault, TONES, type MessagePiece, type Tone } from '@anbau/core/pieces';
	import { TONE_WORDS } from '$lib/desk/words.js';
	import BodyEditor from '$lib/editor/BodyEditor.svelte';
	import IconPicker from './IconPicker.svelte';
	import type { Workbench } from './workbench.svelte.js';

	let { piece, bench }: { piece: MessagePiece; bench: Workbench } = $props();
	const { button } = $derived(piece.settings);
	const hrefProblem = $derived(button && button.href !== '' ? hrefFault(button.href) : null);
	const settings = (place: string, change: Partial<MessagePiece['settings']>) =>
		bench.edit(place, { ...piece, settings: { ...piece.settings, ...change } });
</script>

<BodyEditor
	body={piece.body}
	label="What the message says"
	replaced={bench.replaced}
	onchange={(body) => bench.edit('body', { ...piece, body })}
/>
<div class="mt-2 flex flex-wrap items-center gap-2">
	<select
		class="select select-sm h-8 w-auto"
		aria-label="Tone"
		value={piece.settings.tone}
		onchange={(event) => settings('tone', { tone: event.currentTarget.value as Tone })}
	>
		{#each TONES as tone (tone)}<option value={tone}>Tone: {TONE_WORDS[tone].toLowerCase()}</option>{/each}
	</select>
	<IconPicker icon={piece.icon} onchange={(icon) => bench.set('icon', { icon })} />
	<input
		class="input input-sm h-8 w-44"
		placeholder="Heading (optional)"
		aria-label="Heading for shoppers"
		value={piece.heading}
		oninput={(event) => bench.set('heading', { heading: event.currentTarget.value })}
	/>
	{#if button}
		<span class="border-base-300 rounded-field flex flex-wrap items-center gap-1 border p-1">
			<input
				class="input input-sm h-7 w-32"
				placeholder="Button says"
				aria-label="Button says"
				value={button.label}
				oninput={(event) => settings('button label', { button: { ...button, label: event.currentTarget.value } })}
			/>
			<input
				class="input input-sm h-7 w-40"
				placeholder="leads to, like /pages/…"
				aria-label="Button leads to"
				value={button.href}
				aria-invalid={hrefProblem !== null}
				oninput={(event) => settings('button address', { button: { ...button, href: event.currentTarget.value } })}
			/>
			<button type="button" class="btn btn-ghost btn-xs" onclick={() => settings('button', { button: null })}
				>Remove</button
			>
		</span>
	{:else}
		<button
			type="button"
			class="btn btn-sm h-8"
			onclick={() => settings('button', { button: { label: 'Read more', href: '/' } })}>Add a button</button
		>
	{/if}
</div>
{#if hrefProblem}<p class="text-error mt-1 text-[13px]">The button’s address {hrefProblem}.</p>{/if}
