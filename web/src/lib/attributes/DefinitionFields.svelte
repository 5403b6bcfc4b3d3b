<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import { ATTRIBUTE_TYPES, type AttributeType, type Category } from '@anbau/core/catalog';
	import { ATTRIBUTE_TYPE_WORDS } from '$lib/desk/words.js';
	import PickList from '$lib/ui/PickList.svelte';
	import Popover from '$lib/ui/Popover.svelte';
	import type { DefinitionDraft } from './definition.svelte.js';

	/** The fields of a definition, each with what is wrong with it. */
	let { draft, categories }: { draft: DefinitionDraft; categories: readonly Category[] } = $props();
	const { value, faults } = $derived(draft);
	const choices = (text: string) =>
		text
			.split('\n')
			.map((line) => line.trim())
			.filter((line) => line !== '');
	const titleOf = (key: string) =>
		key
			.split('/')
			.map((_, i, all) => categories.find((one) => one.key === all.slice(0, i + 1).join('/'))?.title ?? all[i])
			.join(' › ');
	const search = (text: string) =>
		categories
			.map(({ key }) => ({ value: key, label: titleOf(key) }))
			.filter(({ label }) => label.toLowerCase().includes(text.trim().toLowerCase()));
	const toggle = (key: string) =>
		draft.set({
			categories: value.categories.includes(key)
				? value.categories.filter((one) => one !== key)
				: [...value.categories, key]
		});
</script>

{#snippet fault(name: string)}
	{#if faults[name]}<span class="text-error text-[13px]">This {faults[name]}.</span>{/if}
{/snippet}

<div class="grid gap-3">
	<label class="grid gap-1"
		><span class="font-medium">Label, as shoppers read it</span>
		<input
			class="input input-sm w-full"
			value={value.label}
			aria-invalid={'label' in faults}
			oninput={(event) => draft.set({ label: event.currentTarget.value })}
		/>
		<span class="text-muted text-[13px]"
			>Code <code>{value.code || '…'}</code>{draft.isNew
				? ', made from the label and then kept'
				: ', kept when the label changes'}</span
		>
		{@render fault('label')}{@render fault('code')}
	</label>
	<div class="grid grid-cols-2 gap-3">
		<label class="grid gap-1"
			><span class="font-medium">Type</span>
			<select
				class="select select-sm w-full"
				value={value.type}
				onchange={(event) => draft.set({ type: event.currentTarget.value as AttributeType })}
			>
				{#each ATTRIBUTE_TYPES as type (type)}<option value={type}>{ATTRIBUTE_TYPE_WORDS[type]}</option>{/each}
			</select>
			{@render fault('type')}
		</label>
		<label class="grid gap-1"
			><span class="font-medium">Of</span>
			<select
				class="select select-sm w-full"
				value={value.of}
				disabled={!draft.isNew}
				onchange={(event) => draft.set({ of: event.currentTarget.value as 'product' | 'category' })}
			>
				<option value="product">products</option>
				<option value="category">categories</option>
			</select>
		</label>
	</div>
	{#if value.type === 'number'}
		<label class="grid gap-1"
			><span class="font-medium">Unit</span>
			<input
				class="input input-sm w-32"
				placeholder="cm"
				value={value.unit}
				oninput={(event) => draft.set({ unit: event.currentTarget.value })}
			/>{@render fault('unit')}</label
		>
	{:else if value.type === 'choice'}
		<label class="grid gap-1"
			><span class="font-medium">Choices, one a line</span>
			<textarea
				class="textarea textarea-sm field-sizing-content min-h-20 w-full"
				value={value.choices.join('\n')}
				onchange={(event) => draft.set({ choices: choices(event.currentTarget.value) })}></textarea>{@render fault(
				'choices'
			)}</label
		>
	{/if}
	<div class="grid gap-1">
		<span class="font-medium">For</span>
		<div class="flex flex-wrap items-center gap-1.5">
			{#each value.categories as key (key)}
				<span class="chip bg-sky-soft text-sky"
					>{titleOf(key)}<button type="button" aria-label={`Without ${titleOf(key)}`} onclick={() => toggle(key)}
						><X class="size-3.5" /></button
					></span
				>
			{:else}<span>every one</span>{/each}
			<Popover label="Choose categories" triggerClass="btn btn-sm h-7">
				{#snippet trigger()}<Plus class="size-3.5" />Categories{/snippet}
				<PickList
					label="Search categories"
					{search}
					chosen={value.categories}
					onpick={({ value: key }) => toggle(key)}
				/>
			</Popover>
		</div>
		<span class="text-muted text-[13px]"
			>{value.categories.length === 0
				? 'Choose categories, and what is outside them never sees the field.'
				: 'With all categories below them; what is outside never sees the field.'}</span
		>
	</div>
	<label class="flex items-center gap-2"
		><input
			type="checkbox"
			class="checkbox checkbox-sm checkbox-primary"
			checked={value.required}
			onchange={(event) => draft.set({ required: event.currentTarget.checked })}
		/>Required: a missing value is a gap to fill</label
	>
	<label class="grid gap-1"
		><span class="font-medium">Note for colleagues</span>
		<textarea
			class="textarea textarea-sm field-sizing-content min-h-9 w-full"
			rows="1"
			value={value.note}
			oninput={(event) => draft.set({ note: event.currentTarget.value })}></textarea>
	</label>
</div>
