<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import type { ColumnRegular } from '@revolist/revogrid';
	import type { AttributeDefinition, AttributeType } from '@anbau/core/catalog';
	import './sheetGrid.css';
	import { textIn, type CellEdit, type GridRow, type Sheet } from './sheet.svelte.js';
	import { completeRoles, listenTo, type SheetElement } from './sheetElement.js';

	/** The grid of the sheet. Keys, ranges, copy and paste are the grid's; what changes goes through the sheet. */
	interface Props {
		sheet: Sheet;
		attributes: readonly AttributeDefinition[];
		firstColumn: string;
		onready: (grid: SheetElement) => void;
		/** A cell that is edited in a dialog. */
		onopen: (row: GridRow, attribute: AttributeDefinition) => void;
	}
	let { sheet, attributes, firstColumn, onready, onopen }: Props = $props();
	// The same objects for every cell, so that scrolling makes none.
	const PLAIN = {};
	const OUTSIDE = { class: { outside: true } };
	const IN_DIALOG: AttributeType[] = ['documents', 'products', 'choice', 'longText', 'richText', 'media'];
	let isDefined = $state(false);
	let grid = $state.raw<SheetElement>();

	/** What of the definitions the columns show: how full they are changes often, and must not make the grid anew. */
	const shape = $derived(
		JSON.stringify(attributes.map(({ code, label, unit, required }) => [code, label, unit, required]))
	);
	const columns = $derived.by(() => {
		void shape;
		return untrack(() => columnsOf(attributes));
	});
	const columnsOf = (defined: readonly AttributeDefinition[]): ColumnRegular[] => [
		{ prop: '$title', name: firstColumn, size: 240, pin: 'colPinStart', readonly: true },
		...defined.map(({ code, label, unit, required }): ColumnRegular => ({
			prop: code,
			name: `${label}${unit ? `, ${unit}` : ''}${required ? ' *' : ''}`,
			size: Math.max(130, 48 + 8 * `${label}, ${unit} *`.length),
			readonly: ({ model }) => (model as GridRow).$outside.has(code),
			cellProperties: ({ model }) => {
				const row = model as GridRow;
				if (row.$outside.has(code)) return OUTSIDE;
				if (sheet.faults.length === 0) return PLAIN;
				const fault = sheet.faultOf(row, code);
				return fault ? { class: { fault: true }, title: fault.reason } : PLAIN;
			}
		}))
	];

	onMount(async () => {
		const { defineCustomElements } = await import('@revolist/revogrid/loader');
		await defineCustomElements();
		isDefined = true;
	});
	$effect(() => {
		if (!grid) return;
		const made = grid;
		Object.assign(made, {
			range: true,
			resize: true,
			filter: false,
			rowSize: 32,
			theme: 'default',
			hideAttribution: true
		});
		listenTo(made, 'beforeedit', onedit);
		listenTo(made, 'beforeeditstart', onbegin);
		listenTo(made, 'beforerangeedit', onrange);
		listenTo(made, 'clipboardrangepaste', onrange);
		made.addEventListener('keydown', onkeydown, true);
		for (const name of ['aftergridrender', 'aftercolumnsset'])
			listenTo(made, name, () => setTimeout(() => completeRoles(made)));
		untrack(() => onready(made));
	});
	$effect(() => {
		if (grid) grid.columns = columns;
	});
	$effect(() => {
		if (grid) grid.source = sheet.rows;
	});

	/** What is too much for a line opens in a dialog; a choice does unless it is typed. */
	function onbegin(event: CustomEvent<{ prop: string | number; val?: unknown; model: unknown }>) {
		const { prop, val, model } = event.detail;
		const attribute = attributes.find((one) => one.code === prop);
		if (!attribute) return;
		const isTyped = typeof val === 'string' && val !== '' && val !== textIn(model as GridRow, attribute.code);
		if (!IN_DIALOG.includes(attribute.type) || (attribute.type === 'choice' && isTyped)) return;
		event.preventDefault();
		onopen(model as GridRow, attribute);
	}

	function onedit(event: CustomEvent<{ prop: string | number; val?: unknown; model: unknown }>) {
		event.preventDefault();
		const { prop, val, model } = event.detail;
		sheet.change([{ row: model as GridRow, code: String(prop), text: String(val ?? '') }]);
		// The editor closes once this event is over; the focus belongs to the grid again then.
		setTimeout(() => grid?.focus());
	}

	function onrange(
		event: CustomEvent<{ data: Record<number, Record<string, unknown>>; models: Record<number, unknown> }>
	) {
		event.preventDefault();
		const { data, models } = event.detail;
		const edits: CellEdit[] = Object.entries(data).flatMap(([index, values]) => {
			const row = models[Number(index)] as GridRow | undefined;
			if (!row) return [];
			return Object.entries(values).map(([code, value]) => ({ row, code, text: String(value ?? '').trim() }));
		});
		sheet.change(edits.filter(({ code }) => !code.startsWith('$')));
	}

	async function fillDown() {
		const range = await grid?.getSelectedRange();
		if (!range) return;
		const from = sheet.rows[range.y];
		if (!from) return;
		const codes = attributes.slice(range.x, range.x1 + 1).map((one) => one.code);
		const rows = sheet.rows.slice(range.y + 1, range.y1 + 1);
		sheet.change(rows.flatMap((row) => codes.map((code) => ({ row, code, text: textIn(from, code) }))));
	}

	function onkeydown(event: KeyboardEvent) {
		if (!event.ctrlKey && !event.metaKey) return;
		const key = event.key.toLowerCase();
		const isTyping = event.target instanceof HTMLInputElement;
		if (key === 'd') void fillDown();
		else if (key === 'z' && !isTyping && !event.shiftKey) sheet.undo();
		else if ((key === 'y' || key === 'z') && !isTyping) sheet.redo();
		else return;
		event.preventDefault();
		event.stopPropagation();
	}
</script>

<div class="sheet-grid h-full min-h-64" data-testid="sheet">
	{#if isDefined}<revo-grid bind:this={grid}></revo-grid>{/if}
</div>
