/** A part of the drawing of a page: an outline of the theme's own, or a hook. */
export type PlanPart = { name: string; hook: string } | { name: string; tall?: boolean };

const hook = (id: string): PlanPart => ({ name: id, hook: id });
const part = (name: string, tall = false): PlanPart => ({ name, tall });

/** The product page as it is drawn: hooks between the parts that the theme brings. */
export const PAGE_PARTS: Record<'top' | 'left' | 'right' | 'bottom', readonly PlanPart[]> = {
	top: [hook('page-top')],
	left: [hook('above-gallery'), part('Gallery', true), hook('below-gallery')],
	right: [
		hook('above-title'),
		part('Title'),
		hook('below-title'),
		part('Price'),
		hook('below-price'),
		part('Summary'),
		hook('below-summary'),
		hook('above-options'),
		part('Quantity'),
		hook('above-buy'),
		part('Buy button'),
		hook('below-buy'),
		hook('below-details')
	],
	bottom: [
		hook('above-tabs'),
		hook('tabs'),
		hook('text-start'),
		part('Description'),
		hook('text-end'),
		hook('below-tabs'),
		hook('above-reviews'),
		hook('above-related'),
		part('Related products'),
		hook('below-related'),
		hook('page-bottom')
	]
};
