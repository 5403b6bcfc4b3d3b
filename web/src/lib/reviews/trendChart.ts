import { countOf, roundedMean, type Month } from '@anbau/core/reviews';
import { showChart } from '$lib/ui/chart.js';
import { token } from '$lib/ui/token.js';

async function parts() {
	const [{ BarChart, LineChart }, { GridComponent, TooltipComponent }] = await Promise.all([
		import('echarts/charts'),
		import('echarts/components')
	]);
	return [BarChart, LineChart, GridComponent, TooltipComponent];
}

/** Draws how many reviews came in each month and how they rated; answers how to take it away. */
export function drawTrend(box: HTMLElement, trend: readonly Month[]): Promise<() => void> {
	return showChart(box, parts(), optionOf(trend));
}

function optionOf(trend: readonly Month[]) {
	const text = { color: token('--anbau-muted'), fontFamily: token('--font-sans') || 'sans-serif', fontSize: 11 };
	const bare = { axisLine: { show: false }, axisTick: { show: false }, axisLabel: text };
	return {
		textStyle: text,
		animation: false,
		grid: { left: 4, right: 4, top: 12, bottom: 4, containLabel: true },
		tooltip: {
			trigger: 'axis' as const,
			formatter: (points: { dataIndex: number }[]) => {
				const month = trend[points[0]?.dataIndex ?? -1];
				if (!month) return '';
				const count = countOf(month.histogram);
				return `${month.month}: ${count} ${count === 1 ? 'review' : 'reviews'}, average ${roundedMean(month.histogram) ?? '–'}`;
			}
		},
		xAxis: { type: 'category' as const, data: trend.map(({ month }) => month), ...bare },
		yAxis: [
			{
				type: 'value' as const,
				minInterval: 1,
				splitLine: { lineStyle: { color: token('--color-base-300') } },
				...bare
			},
			{ type: 'value' as const, min: 1, max: 5, interval: 1, splitLine: { show: false }, ...bare }
		],
		series: [
			{
				type: 'bar' as const,
				data: trend.map(({ histogram }) => countOf(histogram)),
				itemStyle: { color: token('--anbau-ochre-soft'), borderColor: token('--anbau-ochre') }
			},
			{
				type: 'line' as const,
				yAxisIndex: 1,
				data: trend.map(({ histogram }) => roundedMean(histogram)),
				connectNulls: true,
				symbolSize: 5,
				lineStyle: { color: token('--color-primary') },
				itemStyle: { color: token('--color-primary') }
			}
		]
	};
}
