<script lang="ts">
	import { hrefFault, MESSAGE_FORMS, TONES, type MessageForm, type MessagePiece, type Tone } from '@anbau/core/pieces';
	import { MESSAGE_FORM_WORDS, TONE_WORDS } from '$lib/desk/words.js';
	import BodyEditor from '$lib/editor/BodyEditor.svelte';
	import TemplateField from '$lib/editor/parts/TemplateField.svelte';
	import IconPicker from '$lib/ui/IconPicker.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** What a message says, and how it stands on the page. */
	let { piece, bench }: { piece: MessagePiece; bench: Workbench } = $props();
	const { button, form } = $derived(piece.settings);
	const settings = (place: string, change: Partial<MessagePiece['settings']>) =>
		bench.edit(place, { ...piece, settings: { ...piece.settings, ...change } });

	function setForm(chosen: MessageForm) {
		const opener = chosen === 'dialog' && piece.settings.opener === '' ? 'Read more' : piece.settings.opener;
		settings('form', { form: chosen, opener });
	}
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
		aria-label="Form"
		value={form}
		onchange={(event) => setForm(event.currentTarget.value as MessageForm)}
	>
		{#each MESSAGE_FORMS as one (one)}<option value={one}>As {MESSAGE_FORM_WORDS[one]}</option>{/each}
	</select>
	<select
		class="select select-sm h-8 w-auto"
		aria-label="Tone"
		value={piece.settings.tone}
		onchange={(event) => settings('tone', { tone: event.currentTarget.value as Tone })}
	>
		{#each TONES as tone (tone)}<option value={tone}>Tone: {TONE_WORDS[tone].toLowerCase()}</option>{/each}
	</select>
	<IconPicker icon={piece.icon} onchange={(icon) => bench.set('icon', { icon })} />
	{#if form !== 'dialog'}
		<label class="flex items-center gap-1.5 text-[13px]"
			><input
				type="checkbox"
				class="checkbox checkbox-sm checkbox-primary"
				checked={piece.settings.closable}
				onchange={(event) => settings('closable', { closable: event.currentTarget.checked })}
			/>can be closed</label
		>
	{/if}
</div>
<div class="mt-2 flex flex-wrap items-end gap-2 text-[13px]">
	{#if form === 'dialog'}
		<TemplateField
			label="The button that opens it says"
			value={piece.settings.opener}
			onchange={(opener) => settings('opener', { opener })}
		/>
	{/if}
	<TemplateField
		label="Heading for shoppers"
		placeholder="none"
		value={piece.heading}
		onchange={(heading) => bench.set('heading', { heading })}
	/>
	{#if button}
		<TemplateField
			label="Button says"
			value={button.label}
			class="w-36"
			onchange={(label) => settings('button label', { button: { ...button, label } })}
		/>
		<TemplateField
			label="Button leads to"
			value={button.href}
			fault={hrefFault}
			class="w-48"
			onchange={(href) => settings('button address', { button: { ...button, href } })}
		/>
		<button type="button" class="btn btn-ghost btn-sm h-8" onclick={() => settings('button', { button: null })}
			>Without the button</button
		>
	{:else}
		<button
			type="button"
			class="btn btn-sm h-8"
			onclick={() => settings('button', { button: { label: 'Read more', href: '/' } })}>Add a button</button
		>
	{/if}
</div>
