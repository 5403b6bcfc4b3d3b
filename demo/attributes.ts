/** The attributes of the demo, by code, as the API takes them. */
export const DEMO_ATTRIBUTES: Record<string, Record<string, unknown>> = {
	sowing_depth: {
		label: 'Sowing depth',
		note: 'As on the back of the packet.',
		type: 'number',
		unit: 'cm',
		categories: ['seeds', 'bulbs'],
		required: true
	},
	spacing: {
		label: 'Spacing',
		type: 'number',
		unit: 'cm',
		categories: ['seeds', 'bulbs', 'trees-and-shrubs'],
		required: true
	},
	hardiness: { label: 'Hardiness', type: 'text', categories: ['trees-and-shrubs', 'bulbs'] },
	material: {
		label: 'Material',
		type: 'choice',
		choices: [
			...['Aluminium', 'Brass', 'Carbon steel', 'Cedar', 'Corten steel', 'Galvanised steel', 'Larch', 'Oak', 'Pine'],
			...['Powder-coated steel', 'Stainless steel', 'Willow']
		],
		categories: ['greenhouses-and-frames', 'raised-beds', 'benches', 'tools', 'watering']
	},
	glazing: { label: 'Glazing', type: 'text', categories: ['greenhouses-and-frames'] },
	care_guide: {
		label: 'Care guide',
		note: 'A few sentences in Markdown; the Care tab shows them.',
		type: 'richText',
		categories: ['trees-and-shrubs', 'benches', 'greenhouses-and-frames']
	},
	manuals: { label: 'Manuals', type: 'documents', categories: ['greenhouses-and-frames', 'watering', 'raised-beds'] },
	film: {
		label: 'Film',
		note: 'How it is planted or used; shown below the tabs.',
		type: 'media',
		categories: ['trees-and-shrubs', 'tools', 'watering']
	},
	goes_with: { label: 'Goes well with', type: 'products' },
	season: { label: 'Season', note: 'When we send what is in this category.', type: 'text', of: 'category' }
};

/** Values that the shop's own catalogue does not have, by product; `{manual}` and the like are uploaded files. */
export const DEMO_VALUES: [key: string, code: string, value: string][] = [
	...['lindow-greenhouse-6-8', 'lindow-greenhouse-8-10', 'tarn-lean-to-greenhouse'].map(
		(key): [string, string, string] => [
			key,
			'manuals',
			'Assembly manual; {assembly} | Care of aluminium frames; {care} | Spring campaign 2026; {campaign}; 2026-06-30'
		]
	),
	['ashlap-cedar-greenhouse', 'manuals', 'Assembly manual; {assembly} | Guarantee; {guarantee}; 2031-12-31'],
	['cold-frame-60', 'manuals', 'Assembly manual; {assembly}'],
	['drip-hose-set-25-m', 'manuals', 'How to lay it; {hose}'],
	[
		'lindow-greenhouse-6-8',
		'care_guide',
		'Wash the glass **twice a year**, in spring and autumn.\n\n- Oil the hinges of the vents in March.\n- Sweep snow off the roof before it freezes.'
	],
	[
		'orchard-bench-two-seat',
		'care_guide',
		'Oil the oak once a year, or let it turn silver-grey. Either way it **outlives the tree** that it stands under.'
	],
	[
		'apple-hollowmere-russet',
		'care_guide',
		'Prune in February, to an open crown. Thin the fruit in June to a hand’s width.'
	],
	...['apple-hollowmere-russet', 'pear-winter-bell', 'plum-garth-blue'].map((key): [string, string, string] => [
		key,
		'film',
		'{planting_film}'
	]),
	['lindow-greenhouse-6-8', 'goes_with', 'drip-hose-set-25-m | watering-can-9-l | seed-compost-40-l'],
	['carrot-amber-row', 'goes_with', 'spinach-early-fold | beetroot-dusk-globe | hand-trowel-narrow']
];

/** The season of each top category that has one. */
export const DEMO_SEASONS: [key: string, value: string][] = [
	['trees-and-shrubs', 'November to March'],
	['bulbs', 'September to November, and April for the summer ones'],
	['seeds', 'all year']
];
