<script lang="ts">
	import type { SlashMenu } from './slash.svelte.js';

	/** The parts that can be put in at the cursor; the keyboard stays in the text. */
	let { menu }: { menu: SlashMenu } = $props();
</script>

{#if menu.open}
	<ul
		role="listbox"
		aria-label="Parts to put in"
		class="bg-base-100 border-base-300 shadow-float rounded-box fixed z-50 max-h-72 w-64 overflow-y-auto border p-1"
		style:left={`${menu.place.left}px`}
		style:top={`${menu.place.top}px`}
	>
		{#each menu.parts as part, i (part.type)}
			<!-- svelte-ignore a11y_click_events_have_key_events -->
			<li
				role="option"
				aria-selected={i === menu.active}
				class={['rounded-field cursor-pointer px-3 py-1.5', i === menu.active ? 'bg-base-200' : 'hover:bg-base-200']}
				onmousedown={(event) => event.preventDefault()}
				onclick={() => menu.pick(part)}
			>
				{part.label}
			</li>
		{/each}
	</ul>
{/if}
