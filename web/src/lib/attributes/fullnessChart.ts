import type { Category } from '@anbau/core/catalog';
import type { AttributesView } from '$lib/contracts.js';

/** Draws a map of attributes by top category, coloured by how full each is; answers how to take it away. */
export async function drawFullness(
	box: HTMLElement,
	attributes: AttributesView['attributes'],
	tops: readonly Category[]
): Promise<() => void> {
	const [{ init, use }, { HeatmapChart }, { GridComponent, TooltipComponent, VisualMapComponent }, { CanvasRenderer }] =
		await Promise.all([
			import('echarts/core'),
			import('echarts/charts'),
			import('echarts/components'),
			import('echarts/renderers')
		]);
	use([HeatmapChart, GridComponent, TooltipComponent, VisualMapComponent, CanvasRenderer]);
	const chart = init(box);
	const style = getComputedStyle(document.documentElement);
	const token = (name: string) => style.getPropertyValue(name).trim();
	const [light, dark] = [token('--color-base-100'), token('--color-base-content')];
	const data = attributes.flatMap(({ fullness }, row) =>
		tops.flatMap(({ key }, column) => {
			const one = fullness.byCategory[key];
			if (!one || one.applies === 0) return [];
			const percent = Math.round((100 * one.filled) / one.applies);
			return [{ value: [column, row, percent], ...one, label: { color: percent > 75 ? light : dark } }];
		})
	);
	const text = { color: token('--color-base-content'), fontFamily: token('--font-sans') || 'sans-serif' };
	chart.setOption({
		textStyle: text,
		animation: false,
		grid: { left: 8, right: 24, top: 16, bottom: 8, containLabel: true },
		tooltip: {
			formatter: ({ data: { value, filled, applies } }: { data: (typeof data)[number] }) =>
				`${attributes[value[1] ?? 0]?.label ?? ''} · ${tops[value[0] ?? 0]?.title ?? ''}: ${filled} of ${applies}`
		},
		xAxis: {
			type: 'category',
			position: 'top',
			data: tops.map((top) => top.title),
			axisLabel: {
				...text,
				interval: 0,
				width: 70,
				overflow: 'break',
				lineHeight: 15,
				verticalAlign: 'bottom',
				fontSize: 12
			},
			axisLine: { show: false },
			axisTick: { show: false }
		},
		yAxis: {
			type: 'category',
			inverse: true,
			data: attributes.map((one) => one.label),
			axisLabel: { ...text, fontSize: 13 },
			axisLine: { show: false },
			axisTick: { show: false }
		},
		visualMap: {
			show: false,
			min: 0,
			max: 100,
			inRange: { color: [token('--anbau-terracotta-soft'), token('--anbau-moss-soft'), token('--color-primary')] }
		},
		series: [
			{
				type: 'heatmap',
				data,
				itemStyle: { borderColor: token('--color-base-100'), borderWidth: 3, borderRadius: 6 },
				label: {
					show: true,
					fontSize: 13,
					formatter: ({ data: { value } }: { data: (typeof data)[number] }) => `${value[2] ?? 0} %`
				}
			}
		]
	});
	const resize = new ResizeObserver(() => chart.resize());
	resize.observe(box);
	return () => {
		resize.disconnect();
		chart.dispose();
	};
}
