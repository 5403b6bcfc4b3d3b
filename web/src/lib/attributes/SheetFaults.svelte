<script lang="ts">
	import type { AttributeDefinition } from '@anbau/core/catalog';
	import { counted } from '$lib/desk/words.js';
	import type { CellFault, Sheet } from './sheet.svelte.js';

	/** The cells that are not saved, and why; a click goes to the cell, whose text is kept. */
	interface Props {
		sheet: Sheet;
		attributes: readonly AttributeDefinition[];
		onlook: (fault: CellFault) => void;
	}
	let { sheet, attributes, onlook }: Props = $props();
	const labelOf = (code: string) => attributes.find((one) => one.code === code)?.label ?? code;
	const SHOWN = 100;
</script>

{#if sheet.faults.length > 0}
	<div role="alert" class="bg-terracotta-soft rounded-box max-h-32 overflow-y-auto px-4 py-2 text-[13px]">
		<b>{counted(sheet.faults.length, 'cell')} not saved; what was typed is kept.</b>
		<ul>
			{#each sheet.faults.slice(0, SHOWN) as fault (`${fault.row.$key} ${fault.code}`)}
				<li>
					<button class="link" onclick={() => onlook(fault)}>{fault.row.$title} · {labelOf(fault.code)}</button>
					{fault.reason}
				</li>
			{/each}
		</ul>
	</div>
{/if}
