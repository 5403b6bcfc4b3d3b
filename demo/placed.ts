import { markdown, tag, within, type PieceDocument } from './bodies.js';

const DAY = 86_400_000;
/** A wall time in some days, at six in the evening. */
const evening = (days: number) => `${new Date(Date.now() + days * DAY).toISOString().slice(0, 10)}T18:00`;

/** Pieces for some visitors, at some times, on some devices, on other pages than products', by slug. */
export const DEMO_PLACED: Record<string, PieceDocument> = {
	'nursery-bar': {
		kind: 'message',
		name: 'Nursery bar',
		note: 'On phones alone: there one tap calls.',
		icon: 'phone',
		body: markdown('Questions? [Call the nursery](tel:+440000000) until four.'),
		settings: { tone: 'tip', button: null, form: 'bar' },
		placements: [
			{
				id: 'edge',
				hook: 'edge-bottom',
				priority: 10,
				devices: ['phone'],
				insetInline: 12,
				insetBlock: 12,
				reveal: 200,
				closable: true
			}
		],
		target: within('greenhouses-and-frames')
	},
	'for-members': {
		kind: 'message',
		name: 'For members',
		note: 'The shop names the group in its token; guests never get this.',
		icon: 'star',
		body: markdown('As a member you get carriage free on this one.'),
		settings: { tone: 'tip', button: null },
		placements: [{ id: 'below-price', hook: 'below-price', priority: 20 }],
		target: tag('oversize'),
		audience: { signedIn: true, groups: ['member'] }
	},
	'raised-bed-weeks': {
		kind: 'message',
		name: 'Raised bed weeks',
		icon: 'calendar',
		body: markdown('Raised bed weeks: two bags of compost come with every bed.'),
		settings: { tone: 'attention', button: null },
		placements: [{ id: 'above-tabs', hook: 'above-tabs', priority: 10 }],
		target: within('raised-beds'),
		windows: [{ from: null, until: evening(14), days: [], hours: null }]
	},
	'how-we-forge-it': {
		kind: 'tab',
		name: 'How we forge it',
		note: 'For this one spade.',
		icon: 'hammer',
		panels: [
			{
				slug: 'how-we-forge-it',
				heading: 'How we forge it',
				body: markdown(
					'The blade is forged in one piece and the handle is split, not sawn, so that the grain runs through.'
				)
			}
		],
		placements: [{ id: 'tabs', hook: 'tabs', priority: 15 }],
		target: { field: 'product', operator: 'in', value: ['border-spade-ash-handle'] }
	},
	'where-to-stand-it': {
		kind: 'message',
		name: 'Where to stand it',
		icon: 'sun',
		body: markdown('Ridge north to south in summer use, east to west to catch the winter sun.'),
		settings: { tone: 'tip', button: null },
		placements: [{ id: 'text', hook: 'text', priority: 10, unit: 'paragraph', side: 'below', n: 2, every: false }],
		target: within('greenhouses-and-frames/greenhouses')
	},
	'how-large-it-is': {
		kind: 'media',
		name: 'How large it is',
		note: 'Second in the gallery of every greenhouse, beside a person of 1.75 m.',
		icon: 'ruler',
		settings: {
			type: 'picture',
			address: '/assets/scale.svg',
			alt: 'The house beside a person of 1.75 m',
			caption: '{product.title} beside a person of 1.75 m',
			ratio: '1:1'
		},
		placements: [{ id: 'gallery', hook: 'gallery', priority: 15 }],
		target: within('greenhouses-and-frames/greenhouses')
	},
	'when-to-sow': {
		kind: 'message',
		name: 'When to sow',
		icon: 'calendar',
		body: markdown('Every packet says its month. Where the soil is cold, wait a week.'),
		settings: { tone: 'note', button: null },
		placements: [{ id: 'list', page: 'category', hook: 'above-list', priority: 10 }],
		target: { field: 'category', operator: 'only', value: 'seeds' }
	},
	'houses-for-this': {
		kind: 'message',
		name: 'Houses for this',
		icon: 'leaf',
		body: markdown(
			'All our [greenhouses and frames](/category/greenhouses-and-frames) stand in the nursery to be looked at.'
		),
		settings: { tone: 'note', button: null },
		placements: [
			{ id: 'text', page: 'article', hook: 'text', priority: 10, unit: 'heading', side: 'above', n: 2, every: false },
			{ id: 'end', page: 'article', hook: 'text-end', priority: 10 }
		],
		target: { field: 'page', operator: 'key', value: 'sowing-under-glass' }
	}
};

/** Where single products differ from the library. */
export const DEMO_EXCEPTIONS = [
	{
		product: 'ashlap-cedar-greenhouse',
		piece: 'greenhouse-questions',
		mode: 'body',
		panel: 'ground',
		body: { markdown: 'On a brick base of two courses; we send the drawing with the order. Grass alone gives way.' }
	},
	{ product: 'border-spade-ash-handle', houseTab: 'delivery', mode: 'hide' }
] as const;
