import type { Components } from '@revolist/revogrid';

/** The grid's element with what the sheet uses of it. */
export type SheetElement = HTMLElement &
	Pick<
		Components.RevoGrid,
		'columns' | 'source' | 'getSelectedRange' | 'refresh' | 'scrollToRow' | 'scrollToColumnProp' | 'setCellsFocus'
	>;

/** Listens to an event of the grid that carries a detail. */
export function listenTo<Detail>(grid: HTMLElement, name: string, listen: (event: CustomEvent<Detail>) => void): void {
	grid.addEventListener(name, (event) => listen(event as CustomEvent<Detail>));
}

/** Gives the grid's parts the roles that it leaves out, so that a screen reader finds its heads in a row. */
export function completeRoles(grid: HTMLElement): void {
	for (const row of grid.querySelectorAll('.header-rgRow')) row.setAttribute('role', 'row');
	for (const region of grid.querySelectorAll('.vertical-inner')) {
		region.setAttribute('role', 'rowgroup');
		region.setAttribute('tabindex', '0');
	}
}
