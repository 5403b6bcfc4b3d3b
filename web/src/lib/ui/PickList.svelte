<script lang="ts">
	/** A search box over a list to pick from, by mouse or keyboard; Enter waits for what the typed text finds. */
	interface Item {
		value: string;
		label: string;
		hint?: string;
	}
	interface Props {
		label: string;
		placeholder?: string;
		search: (text: string) => readonly Item[] | Promise<readonly Item[]>;
		chosen?: readonly string[];
		nothing?: string;
		onpick: (item: Item) => void;
	}
	let { label, placeholder = label, search, chosen = [], nothing = 'Nothing is called so.', onpick }: Props = $props();
	const id = $props.id();
	let text = $state('');
	let found = $state.raw<readonly Item[]>([]);
	let active = $state(0);
	let pending: Promise<void> = Promise.resolve();

	$effect(() => {
		const asked = text;
		pending = Promise.resolve(search(asked)).then((items) => {
			if (asked !== text) return;
			found = items;
			active = 0;
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
<ul id={`${id}-list`} role="listbox" aria-label={label} class="grid max-h-72 overflow-y-auto">
	{#each found as item, i (item.value)}
		<!-- The keyboard stays in the search box, which tells the list what is active. -->
		<!-- svelte-ignore a11y_click_events_have_key_events -->
		<li
			id={`${id}-${i}`}
			role="option"
			aria-selected={chosen.includes(item.value)}
			class={[
				'rounded-field flex cursor-pointer items-center gap-2 px-2 py-1.5',
				i === active ? 'bg-base-200' : 'hover:bg-base-200'
			]}
			onclick={() => onpick(item)}
		>
			<span class="min-w-0 flex-1 truncate">{item.label}</span>
			{#if item.hint}<span class="text-muted truncate text-[13px]">{item.hint}</span>{/if}
			{#if chosen.includes(item.value)}<span class="text-primary font-semibold" aria-hidden="true">✓</span>{/if}
		</li>
	{/each}
</ul>
{#if found.length === 0}<p class="text-muted px-2 py-1.5">{nothing}</p>{/if}
