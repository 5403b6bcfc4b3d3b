<script lang="ts">
	import MessageSquareText from '@lucide/svelte/icons/message-square-text';
	import Star from '@lucide/svelte/icons/star';
	import Film from '@lucide/svelte/icons/film';
	import Rows from '@lucide/svelte/icons/rows-3';
	import Folder from '@lucide/svelte/icons/panel-top';
	import type { PieceKind } from '@anbau/core/pieces';
	import { KIND_WORDS } from '$lib/desk/words.js';

	/** The plant label by which a piece is recognised anywhere: a flat strip with a pointed left end. */
	interface Props {
		kind: PieceKind | 'house';
		text: string;
		faded?: boolean;
		withKind?: boolean;
		/** As it stands in a drawing. */
		small?: boolean;
		/** A few words or a number behind the name. */
		hint?: string;
		/** As wide as it can be. */
		wide?: boolean;
	}
	let { kind, text, faded = false, withKind = true, small = false, hint = '', wide = false }: Props = $props();

	const look = {
		tab: 'bg-kind-tab-soft text-kind-tab',
		accordion: 'bg-moss-soft text-primary',
		message: 'bg-kind-message-soft text-kind-message',
		media: 'bg-plum-soft text-plum',
		reviews: 'bg-ochre-soft text-ochre',
		house: 'bg-kind-house-soft text-kind-house'
	};
	const ICONS = {
		tab: Folder,
		accordion: Rows,
		message: MessageSquareText,
		media: Film,
		reviews: Star,
		house: Folder
	};
	const Icon = $derived(ICONS[kind]);
	const word = $derived(kind === 'house' ? 'House tab' : KIND_WORDS[kind]);
</script>

<span
	class={[
		'label inline-flex max-w-full min-w-0 items-center gap-1.5 pr-3 pl-2.5',
		small ? 'h-6' : 'h-7',
		wide && 'w-full',
		faded ? 'bg-kind-house-soft text-kind-house' : look[kind]
	]}
>
	<span class="size-1.5 shrink-0 rounded-full bg-current" aria-hidden="true"></span>
	<span
		class={[
			'truncate font-semibold',
			small ? 'text-[13px]' : 'text-[14px]',
			faded ? 'text-muted' : 'text-base-content'
		]}>{text}</span
	>
	{#if hint}<span class="text-base-content shrink-0 font-mono text-[12px]">{hint}</span>{/if}
	{#if withKind}
		<Icon class="size-3.5 shrink-0" aria-hidden="true" />
		<span class="sr-only">{word}</span>
	{/if}
</span>

<style>
	.label {
		clip-path: polygon(0 50%, 9px 0, 100% 0, 100% 100%, 9px 100%);
		padding-left: 14px;
	}
</style>
