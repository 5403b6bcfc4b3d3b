<script lang="ts">
	import type { Visitor } from '@anbau/core/pieces';

	/** Who looks at the page: signed in or not, in which groups, by which campaign. */
	interface Props {
		visitor: Visitor;
		/** Groups that audiences name. */
		groups: readonly string[];
		onchange: (visitor: Visitor) => void;
	}
	let { visitor, groups, onchange }: Props = $props();
	const row = 'flex cursor-pointer items-center gap-2 px-2 py-1';

	function toggle(group: string, chosen: boolean) {
		const others = visitor.groups.filter((one) => one !== group);
		onchange({ ...visitor, signedIn: true, groups: chosen ? [...others, group] : others });
	}
</script>

<label class={row}
	><input
		type="radio"
		class="radio radio-sm radio-primary"
		checked={!visitor.signedIn}
		onchange={() => onchange({ ...visitor, signedIn: false, groups: [] })}
	/>Guest</label
>
<label class={row}
	><input
		type="radio"
		class="radio radio-sm radio-primary"
		checked={visitor.signedIn}
		onchange={() => onchange({ ...visitor, signedIn: true })}
	/>Signed in</label
>
{#each groups as group (group)}
	<label class={[row, 'pl-8']}
		><input
			type="checkbox"
			class="checkbox checkbox-sm checkbox-primary"
			checked={visitor.groups.includes(group)}
			onchange={(event) => toggle(group, event.currentTarget.checked)}
		/>in the group {group}</label
	>
{/each}
<label class="text-muted mt-2 grid gap-1 px-2 text-[13px]"
	>Campaign in the address (utm_campaign)
	<input
		class="input input-sm text-base-content w-full"
		placeholder="none"
		value={visitor.campaign ?? ''}
		onchange={(event) => onchange({ ...visitor, campaign: event.currentTarget.value.trim() || null })}
	/></label
>
