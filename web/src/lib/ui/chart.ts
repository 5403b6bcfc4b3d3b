import type { EChartsCoreOption } from 'echarts/core';

type Used = Parameters<(typeof import('echarts/core'))['use']>[0];

/** Draws a chart that follows the size of its box; answers how to take it away. Its parts are loaded when it is. */
export async function showChart(
	box: HTMLElement,
	parts: Promise<Used>,
	option: EChartsCoreOption
): Promise<() => void> {
	const [{ init, use }, { CanvasRenderer }, used] = await Promise.all([
		import('echarts/core'),
		import('echarts/renderers'),
		parts
	]);
	use(CanvasRenderer);
	use(used);
	const chart = init(box);
	chart.setOption(option);
	const resize = new ResizeObserver(() => chart.resize());
	resize.observe(box);
	return () => {
		resize.disconnect();
		chart.dispose();
	};
}
