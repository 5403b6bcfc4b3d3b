import type { Category } from '@anbau/core/catalog';
import type { AttributesView } from '$lib/contracts.js';
import { showChart } from '$lib/ui/chart.js';
import { token } from '$lib/ui/token.js';

async function parts() {
	const [{ HeatmapChart }, { GridComponent, TooltipComponent, VisualMapComponent }] = await Promise.all([
		import('echarts/charts'),
		import('echarts/components')
	]);
	return [HeatmapChart, GridComponent, TooltipComponent, VisualMapComponent];
}

/** Draws a map of attributes by top category, coloured by how full each is; answers how to take it away. */
export function drawFullness(
	box: HTMLElement,
	attributes: AttributesView['attributes'],
	tops: readonly Category[]
): Promise<() => void> {
	return showChart(box, parts(), optionOf(attributes, tops));
}

interface MapCell {
	/** Column, row, percent. */
	value: [number, number, number];
	filled: number;
	applies: number;
	label: { color: string };
}

/** A cell for each attribute and category that it applies to. */
function cellsOf(attributes: AttributesView['attributes'], tops: readonly Category[]): MapCell[] {
	const [light, dark] = [token('--color-base-100'), token('--color-base-content')];
	return attributes.flatMap(({ fullness }, row) =>
		tops.flatMap(({ key }, column): MapCell[] => {
			const one = fullness.byCategory[key];
			if (!one || one.applies === 0) return [];
			const percent = Math.round((100 * one.filled) / one.applies);
			return [{ value: [column, row, percent], ...one, label: { color: percent > 75 ? light : dark } }];
		})
	);
}

function optionOf(attributes: AttributesView['attributes'], tops: readonly Category[]) {
	const text = { color: token('--color-base-content'), fontFamily: token('--font-sans') || 'sans-serif' };
	const bare = { type: 'category' as const, axisLine: { show: false }, axisTick: { show: false } };
	const columnLabel = { ...text, interval: 0, width: 78, overflow: 'break', lineHeight: 14, fontSize: 11 };
	const colours = ['--anbau-terracotta-soft', '--anbau-moss-soft', '--color-primary'].map(token);
	return {
		textStyle: text,
		animation: false,
		grid: { left: 8, right: 24, top: 16, bottom: 8, containLabel: true },
		tooltip: {
			formatter: ({ data: { value, filled, applies } }: { data: MapCell }) =>
				`${attributes[value[1]]?.label ?? ''} · ${tops[value[0]]?.title ?? ''}: ${filled} of ${applies}`
		},
		xAxis: {
			...bare,
			position: 'top' as const,
			data: tops.map((top) => top.title),
			axisLabel: { ...columnLabel, verticalAlign: 'bottom' }
		},
		yAxis: { ...bare, inverse: true, data: attributes.map((one) => one.label), axisLabel: { ...text, fontSize: 13 } },
		visualMap: { show: false, min: 0, max: 100, inRange: { color: colours } },
		series: [
			{
				type: 'heatmap' as const,
				data: cellsOf(attributes, tops),
				itemStyle: { borderColor: token('--color-base-100'), borderWidth: 3, borderRadius: 6 },
				label: { show: true, fontSize: 13, formatter: ({ data }: { data: MapCell }) => `${data.value[2]} %` }
			}
		]
	};
}
