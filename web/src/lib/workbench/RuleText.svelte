<script lang="ts">
	import { parseRule, type RuleFault } from '@anbau/core/rules';
	import type { Workbench } from './workbench.svelte.js';

	/** The target as the rule it is, to be read, copied or written; faults are shown at their pointer. */
	let { bench }: { bench: Workbench } = $props();
	let text = $derived(bench.piece.target === null ? '' : JSON.stringify(bench.piece.target, null, 2));
	let faults = $state.raw<RuleFault[]>([]);

	function read(written: string) {
		text = written;
		if (written.trim() === '') {
			faults = [];
			bench.set('target', { target: null });
			return;
		}
		try {
			const reading = parseRule(JSON.parse(written));
			faults = reading.ok ? [] : reading.faults;
			if (reading.ok) bench.set('target', { target: reading.rule });
		} catch (error) {
			faults = [{ at: '', message: `is not JSON yet: ${error instanceof Error ? error.message : String(error)}` }];
		}
	}
</script>

<details class="mb-2">
	<summary class="text-muted cursor-pointer text-[13px]">The rule as text</summary>
	<textarea
		class="textarea mt-1 h-40 w-full font-mono text-[12px]"
		spellcheck="false"
		aria-label="The rule as JSON"
		aria-invalid={faults.length > 0}
		value={text}
		oninput={(event) => read(event.currentTarget.value)}></textarea>
	{#each faults as fault (fault.at + fault.message)}<p class="text-error text-[13px]">
			<code>{fault.at || 'The rule'}</code>
			{fault.message}.
		</p>{/each}
</details>
