<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { windowsAt } from '@anbau/core/pieces';
	import { timeWords } from '$lib/desk/words.js';
	import AudienceWords from './AudienceWords.svelte';
	import WindowSentence from './WindowSentence.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** Who sees a piece and when it is on, as sentences. */
	let { bench, zone, now }: { bench: Workbench; zone: string; now: number } = $props();
	const { windows, audience } = $derived(bench.piece);
	const fault = (i: number) => bench.faults.find(({ at }) => at === `/windows/${i}` || at.startsWith(`/windows/${i}/`));
	const stateWords = $derived.by(() => {
		if (windows.length === 0) return '';
		try {
			const { state, next } = windowsAt(windows, now, zone);
			const is = { on: 'It is on now', waiting: 'It waits', ended: 'Its time is over' }[state];
			return next === null ? `${is}.` : `${is}, until ${timeWords(new Date(next).toISOString(), zone)}.`;
		} catch {
			// While a time is being typed it may be none yet; the field says what is wrong with it.
			return '';
		}
	});
	const set = (place: string, next: typeof windows) => bench.set(place, { windows: next });
</script>

<div class="grid gap-1 text-[16px] leading-8">
	<AudienceWords {audience} onchange={(next) => bench.set('audience', { audience: next })} />
	{#each windows as window, i (i)}
		<WindowSentence
			{window}
			words={i === 0 ? 'On' : 'and on'}
			fault={fault(i)}
			onchange={(next) =>
				set(
					`window ${i}`,
					windows.map((one, at) => (at === i ? next : one))
				)}
			onremove={() =>
				set(
					'windows',
					windows.filter((_, at) => at !== i)
				)}
		/>
	{:else}
		<p>On <b>always</b>.</p>
	{/each}
	<p class="flex flex-wrap items-center gap-3">
		<button
			type="button"
			class="btn btn-ghost btn-sm text-primary"
			onclick={() => set('windows', [...windows, { from: null, until: null, days: [], hours: null }])}
			><Plus class="size-4" />{windows.length === 0 ? 'Only at times' : 'At another time too'}</button
		>
		<span class="text-muted text-[13px]">{stateWords} Times are those of {zone}.</span>
	</p>
</div>
