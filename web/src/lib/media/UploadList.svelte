<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import type { Uploads } from './uploads.svelte.js';

	/** Uploads on their way, and those that were not taken, with why. */
	let { uploads }: { uploads: Uploads } = $props();
</script>

{#if uploads.list.length > 0}
	<ul class="grid gap-1.5" aria-label="Uploads">
		{#each uploads.list as upload (upload.id)}
			<li class="flex flex-wrap items-center gap-3 text-[14px]">
				<span class="min-w-0 max-w-72 truncate">{upload.name}</span>
				{#if upload.problem}
					<span class="text-error" role="alert">{upload.problem}</span>
					{#if upload.goOn}<button type="button" class="btn btn-xs" onclick={upload.goOn}>Go on</button>{/if}
					<button type="button" class="btn btn-ghost btn-xs" onclick={upload.cancel}
						>{upload.goOn ? 'Give it up' : 'Dismiss'}</button
					>
				{:else}
					<progress class="progress progress-primary w-40" value={upload.progress} max="1" aria-label={upload.name}
					></progress>
					<span class="text-muted"
						>{upload.progress === 1 ? 'reading …' : `${Math.round(upload.progress * 100)} %`}</span
					>
					<button
						type="button"
						class="btn btn-ghost btn-xs btn-square"
						aria-label={`Cancel ${upload.name}`}
						onclick={() => upload.cancel()}><X class="size-3.5" /></button
					>
				{/if}
			</li>
		{/each}
	</ul>
{/if}
