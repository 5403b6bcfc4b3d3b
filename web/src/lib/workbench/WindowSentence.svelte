<script lang="ts">
	import type { Window } from '@anbau/core/pieces';
	import Popover from '$lib/ui/Popover.svelte';
	import { DAY_NAMES, daysWords, wallWords } from './windowWords.js';

	/** One window as a sentence: from, until, weekdays, hours. */
	interface Props {
		window: Window;
		words: string;
		fault: { at: string; message: string } | undefined;
		onchange: (window: Window) => void;
		onremove: () => void;
	}
	let { window, words, fault, onchange, onremove }: Props = $props();
	const { from, until, days, hours } = $derived(window);

	function toggle(day: number, chosen: boolean) {
		const next = [1, 2, 3, 4, 5, 6, 7].filter((one) => (one === day ? chosen : days.includes(one)));
		onchange({ ...window, days: next.length === 7 ? [] : next });
	}
	const ends = $derived([
		['from', 'From', from],
		['until', 'Until', until]
	] as const);
</script>

<p>
	{words}
	{#each ends as [name, label, value] (name)}
		<Popover {label} contentClass="w-72">
			{#snippet trigger()}{value === null
					? name === 'from'
						? 'from the start'
						: 'without an end'
					: `${name} ${wallWords(value)}`}{/snippet}
			{#snippet children(close)}
				<label class="text-muted grid gap-1 text-[13px]"
					>{label}, in the store’s time
					<input
						type="datetime-local"
						class="input input-sm text-base-content w-full"
						{value}
						onchange={(event) => onchange({ ...window, [name]: event.currentTarget.value || null })}
					/></label
				>
				<button type="button" class="btn btn-sm mt-2" onclick={() => (onchange({ ...window, [name]: null }), close())}
					>{name === 'from' ? 'From the start' : 'Without an end'}</button
				>
			{/snippet}
		</Popover>{name === 'from' ? ' ' : ', '}
	{/each}
	<Popover label="Weekdays" contentClass="w-44">
		{#snippet trigger()}{daysWords(days)}{/snippet}
		{#each DAY_NAMES as day, i (day)}
			<label class="flex cursor-pointer items-center gap-2 px-2 py-0.5"
				><input
					type="checkbox"
					class="checkbox checkbox-sm checkbox-primary"
					checked={days.length === 0 || days.includes(i + 1)}
					onchange={(event) => toggle(i + 1, event.currentTarget.checked)}
				/>{day}</label
			>
		{/each}
	</Popover>,
	<Popover label="Hours" contentClass="w-64">
		{#snippet trigger()}{hours === null ? 'at any hour' : `${hours.from} to ${hours.to}`}{/snippet}
		{#snippet children(close)}
			<div class="flex items-center gap-2">
				{#each ['from', 'to'] as const as name (name)}
					<input
						type="time"
						class="input input-sm w-28"
						aria-label={name === 'from' ? 'From the hour' : 'To the hour'}
						value={hours?.[name] ?? ''}
						onchange={(event) => {
							const known = hours ?? { from: '09:00', to: '17:00' };
							if (event.currentTarget.value)
								onchange({ ...window, hours: { ...known, [name]: event.currentTarget.value } });
						}}
					/>
				{/each}
			</div>
			<p class="text-muted mt-2 text-[13px]">An end before the beginning passes midnight.</p>
			<button type="button" class="btn btn-sm mt-2" onclick={() => (onchange({ ...window, hours: null }), close())}
				>At any hour</button
			>
		{/snippet}
	</Popover>.
	<button type="button" class="btn btn-ghost btn-xs text-muted align-middle" onclick={onremove}>Drop this time</button>
</p>
{#if fault}<p class="text-error text-[13px] leading-5" role="alert">This time {fault.message}.</p>{/if}
