<script lang="ts">
	/** A search box over a list to pick from, by mouse or keyboard; Enter waits for what the typed text finds. */
	interface Item {
		value: string;
		label: string;
		hint?: string;
		/** The heading that it stands under. */
		group?: string;
		chosen?: boolean;
	}
	interface Props {
		label: string;
		placeholder?: string;
		search: (text: string) => readonly Item[] | Promise<readonly Item[]>;
		/** The values that are chosen already, where the items do not tell. */
		chosen?: readonly string[];
		nothing?: string;
		text?: string;
		onpick: (item: Item) => void;
	}
	let {
		label,
		placeholder = label,
		search,
		chosen = [],
		nothing = 'Nothing is called so.',
		text = $bindable(''),
		onpick
	}: Props = $props();
	const id = $props.id();
	let found = $state.raw<readonly Item[]>([]);
	let active = $state(0);
	let pending: Promise<void> = Promise.resolve();
	let asked = '';
	const isChosen = (item: Item) => item.chosen ?? chosen.includes(item.value);

	$effect(() => {
		const wanted = text;
		pending = Promise.resolve(search(wanted)).then((items) => {
			if (wanted !== text) return;
			found = items;
			if (wanted !== asked) active = 0;
			asked = wanted;
		});
	});

	async function onkeydown(event: KeyboardEvent) {
		const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
		if (step) {
			event.preventDefault();
			active = (active + step + found.length) % Math.max(1, found.length);
			document.getElementById(`${id}-${active}`)?.scrollIntoView({ block: 'nearest' });
		} else if (event.key === 'Enter') {
			event.preventDefault();
			await pending;
			const item = found[active];
			if (item) onpick(item);
		}
	}
</script>

<input
	class="input input-sm mb-2 w-full"
	role="combobox"
	aria-expanded="true"
	aria-controls={`${id}-list`}
	aria-activedescendant={found.length > 0 ? `${id}-${active}` : undefined}
	aria-label={label}
	{placeholder}
	autocomplete="off"
	bind:value={text}
	{onkeydown}
/>
<div id={`${id}-list`} role="listbox" aria-label="Found" class="max-h-64 overflow-y-auto">
	{#each found as item, i (`${item.group} ${item.value}`)}
		{#if item.group && item.group !== found[i - 1]?.group}
			<div class="text-muted px-2 pt-1.5 text-[12px] font-semibold" role="presentation">{item.group}</div>
		{/if}
		<!-- The keyboard stays in the search box, which tells the list what is active. -->
		<!-- svelte-ignore a11y_click_events_have_key_events -->
		<div
			id={`${id}-${i}`}
			role="option"
			tabindex="-1"
			aria-selected={isChosen(item)}
			class={['rounded-field flex cursor-pointer items-center gap-2 px-2 py-1', i === active && 'bg-base-200']}
			onclick={() => onpick(item)}
			onpointermove={() => (active = i)}
		>
			<span class="min-w-0 flex-1 truncate">{item.label}</span>
			{#if isChosen(item)}<span class="text-primary font-semibold" aria-hidden="true">✓</span>{/if}
			{#if item.hint}<span class="text-muted max-w-32 truncate text-[12px]">{item.hint}</span>{/if}
		</div>
	{/each}
</div>
{#if found.length === 0}<p class="text-muted px-2 py-1">{nothing}</p>{/if}
