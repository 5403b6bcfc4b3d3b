import type { DemoProduct } from '@anbau/demo/products';

/** Shapes by department, drawn in a square of 100. */
const SHAPES: Record<string, string> = {
	'Greenhouses & frames': '<path d="M22 78V44l28-20 28 20v34z"/><path d="M50 24v54M22 56h56M36 34v44M64 34v44"/>',
	'Raised beds':
		'<rect x="16" y="52" width="68" height="24" rx="2"/><path d="M30 52c0-12 8-10 8-20M52 52c0-14 9-12 9-24M70 52c0-8 4-8 4-14"/>',
	Benches: '<path d="M16 54h68M20 54v24M80 54v24M18 40h64M18 30h64M24 30v24M76 30v24"/>',
	Seeds:
		'<path d="M32 82V30l18-10 18 10v52z"/><path d="M50 66V46M50 52c-9 0-11-6-11-10 8 0 11 4 11 10zM50 48c9 0 11-6 11-10-8 0-11 4-11 10z"/>',
	'Trees & shrubs': '<circle cx="50" cy="38" r="22"/><path d="M50 38v44M50 56l-10-9M50 50l10-9M34 82h32"/>',
	Tools: '<path d="M50 14v44M40 14h20M36 58h28v12c0 9-8 16-14 18-6-2-14-9-14-18z"/>',
	'Soil & feed': '<path d="M30 26h40l6 56H24z"/><path d="M30 26l6-8h28l6 8M38 50h24M38 60h24"/>',
	Watering: '<path d="M26 46h34v34H26zM60 54l20-16M76 32l10 10M32 46c0-18 22-18 22 0"/>',
	Bulbs:
		'<path d="M50 26c-20 16-24 30-18 42 4 8 10 10 18 10s14-2 18-10c6-12 2-26-18-42z"/><path d="M50 26V12M44 78l-2 8M56 78l2 8"/>'
};

/** A product's picture: its department's shape on a tint of its own. */
export function productPicture(product: DemoProduct): string {
	const department = product.categories[0]?.split(' > ')[0] ?? '';
	const hue = [...product.key].reduce((sum, char) => (sum * 31 + char.charCodeAt(0)) % 360, 7);
	const shape = SHAPES[department] ?? '<circle cx="50" cy="50" r="30"/>';
	return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><defs><linearGradient id="g" x2="0" y2="1"><stop stop-color="hsl(${hue} 28% 90%)"/><stop offset="1" stop-color="hsl(${(hue + 25) % 360} 24% 78%)"/></linearGradient></defs><rect width="100" height="100" fill="url(#g)"/><g fill="hsl(${hue} 20% 97% / .55)" stroke="hsl(${hue} 30% 26%)" stroke-width="2" stroke-linecap="round" stroke-linejoin="round">${shape}</g></svg>`;
}
