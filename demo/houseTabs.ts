/** The tabs that the demo shop's theme brings itself. */
export const HOUSE_TABS = [
	{ slug: 'description', name: 'Description', priority: 10, hidden: false },
	{ slug: 'details', name: 'Details', priority: 20, hidden: false },
	{ slug: 'delivery', name: 'Delivery', priority: 30, hidden: false }
];
