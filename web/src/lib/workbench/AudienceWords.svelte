<script lang="ts">
	import type { Piece } from '@anbau/core/pieces';
	import Popover from '$lib/ui/Popover.svelte';

	/** Who sees a piece: signed in or not, customer groups, a campaign. */
	type Audience = Piece['audience'];
	let { audience, onchange }: { audience: Audience; onchange: (audience: Audience) => void } = $props();
	const { signedIn, groups, campaign } = $derived(audience ?? {});
	const item = 'rounded-field hover:bg-base-200 w-full px-2 py-1.5 text-left';

	/** Leaves out what says nothing, so that an audience of nothing is everyone. */
	function set(change: Partial<NonNullable<Audience>>) {
		const next = Object.entries({ ...audience, ...change }).filter(([, value]) => value !== undefined);
		onchange(next.length === 0 ? null : (Object.fromEntries(next) as Audience));
	}
	const who: [boolean | undefined, string][] = [
		[undefined, 'everyone'],
		[true, 'visitors who are signed in'],
		[false, 'visitors who are not signed in']
	];
	const whoWords = $derived(who.find(([value]) => value === signedIn)?.[1] ?? 'everyone');
	const splitGroups = (text: string) => [
		...new Set(
			text
				.split(',')
				.map((group) => group.trim())
				.filter(Boolean)
		)
	];
</script>

<p>
	For
	<Popover label="Who sees it" contentClass="w-64">
		{#snippet trigger()}{whoWords}{/snippet}
		{#snippet children(close)}
			{#each who as [value, words] (words)}
				<button
					type="button"
					class={[item, value === signedIn && 'font-semibold']}
					onclick={() => (set({ signedIn: value, ...(value === true ? {} : { groups: undefined }) }), close())}
					>{words}</button
				>
			{/each}
		{/snippet}
	</Popover>{#if signedIn !== false},
		<Popover label="Customer groups" contentClass="w-72">
			{#snippet trigger()}{groups ? `in the group ${groups.join(' or ')}` : 'whatever their group'}{/snippet}
			<label class="text-muted grid gap-1 text-[13px]"
				>Groups as the shop names them, with commas
				<input
					class="input input-sm text-base-content w-full"
					placeholder="member, trade"
					value={groups?.join(', ') ?? ''}
					onchange={(event) => {
						const next = splitGroups(event.currentTarget.value);
						set(next.length > 0 ? { signedIn: true, groups: next } : { groups: undefined });
					}}
				/></label
			>
		</Popover>{/if},
	<Popover label="Campaign" contentClass="w-72">
		{#snippet trigger()}{campaign === undefined ? 'from anywhere' : `from the campaign “${campaign}”`}{/snippet}
		<label class="text-muted grid gap-1 text-[13px]"
			>The address says utm_campaign=
			<input
				class="input input-sm text-base-content w-full"
				placeholder="any"
				value={campaign ?? ''}
				onchange={(event) => set({ campaign: event.currentTarget.value.trim() || undefined })}
			/></label
		>
	</Popover>.
</p>
