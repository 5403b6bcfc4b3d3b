import { doc, markdown, paragraph, part, steps, tag, text, value, within, type PieceDocument } from './bodies.js';

/** The demo's messages, by slug. */
export const DEMO_MESSAGES: Record<string, PieceDocument> = {
	'made-to-order-notice': {
		kind: 'message',
		name: 'Made-to-order notice',
		note: 'The workshop changes the lead times in January. They are tags of the products.',
		icon: 'hammer',
		body: markdown('We build this one for you.\n\n**{product.title}** leaves our workshop in **{tag.lead}**.'),
		settings: { tone: 'attention', button: null },
		placements: [{ id: 'above-buy', hook: 'above-buy', priority: 10 }],
		target: {
			all: [tag('made-to-order'), { not: { field: 'product', operator: 'in', value: ['brick-base-cold-frame-kit'] } }]
		}
	},
	'freight-notice': {
		kind: 'message',
		name: 'Freight notice',
		icon: 'truck',
		body: doc(
			paragraph(text('This comes by freight. The driver calls you the day before and brings it to the kerb.')),
			{
				type: 'dialogButton',
				attrs: { label: 'How freight works' },
				content: [
					steps(
						[text('We call you when '), value('product.title'), text(' is ready.')],
						[text('The driver calls the day before.')],
						[text('It comes to the kerb, on a pallet that you may keep.')]
					),
					part('button', { label: 'All about delivery', href: '/pages/delivery' })
				]
			}
		),
		settings: { tone: 'note', button: null },
		placements: [{ id: 'below-buy', hook: 'below-buy', priority: 20 }],
		target: tag('oversize')
	},
	'low-stock': {
		kind: 'message',
		name: 'Only a few left',
		icon: 'clock',
		body: markdown('{product.stock, plural, one {Only # left} other {Only # left}} of this batch.'),
		settings: { tone: 'urgent', button: null },
		placements: [{ id: 'above-buy', hook: 'above-buy', priority: 20 }],
		target: { all: [{ field: 'stock', operator: 'between', value: [1, 5] }, { not: tag('made-to-order') }] }
	},
	saving: {
		kind: 'message',
		name: 'What you save',
		icon: 'discount',
		body: markdown(
			'You save **{product.saving}** ({product.savingPercent}) against our list price of {product.listPrice}.'
		),
		settings: { tone: 'tip', button: null },
		placements: [{ id: 'below-price', hook: 'below-price', priority: 10 }],
		target: { all: [{ field: 'onSale', operator: 'is', value: true }] }
	},
	'makers-part': {
		kind: 'message',
		name: 'Maker’s part number',
		icon: 'tools',
		body: markdown('Maker’s part no. **{tag.part}**'),
		settings: { tone: 'note', button: null },
		placements: [{ id: 'below-details', hook: 'below-details', priority: 10 }],
		target: { field: 'tag', operator: 'startsWith', value: 'part:' }
	},
	'bare-root-season': {
		kind: 'message',
		name: 'Bare-root season',
		icon: 'snowflake',
		body: markdown('Bare-root plants leave us from November to March, while they sleep.'),
		settings: { tone: 'note', button: null },
		placements: [{ id: 'below-summary', hook: 'below-summary', priority: 12 }],
		target: { any: [tag('bare-root'), within('trees-and-shrubs/hedging')] }
	},
	'peat-free-promise': {
		kind: 'message',
		name: 'Peat-free promise',
		icon: 'leaf',
		body: markdown('Peat-free, as everything we mix ourselves.'),
		settings: { tone: 'tip', button: null },
		placements: [{ id: 'below-summary', hook: 'below-summary', priority: 15 }],
		target: tag('peat-free')
	},
	'bee-friendly': {
		kind: 'message',
		name: 'Loved by bees',
		icon: 'flower',
		body: markdown('Loved by bees: open flowers with nectar within reach.'),
		settings: { tone: 'tip', button: null },
		placements: [{ id: 'below-summary', hook: 'below-summary', priority: 20 }],
		target: tag('bee-friendly')
	},
	'lead-time': {
		kind: 'message',
		name: 'Lead time',
		icon: 'truck',
		body: markdown(
			'Leaves us by **{delivery.date, date, full}**.\n\nOrder within {delivery.countdown}, and it counts from today.'
		),
		settings: { tone: 'tip', form: 'line' },
		placements: [{ id: 'below-buy', hook: 'below-buy', priority: 10 }],
		target: { all: [] }
	},
	'open-saturday': {
		kind: 'message',
		name: 'Open on Saturday',
		body: markdown('Sit on them before you buy: our garden is open on **Saturday** from nine to four.'),
		settings: { form: 'bar', closable: true, tone: 'tip' },
		placements: [{ id: 'page-top', hook: 'page-top', priority: 20 }],
		target: within('benches')
	},
	'recently-viewed': {
		kind: 'message',
		name: 'Looked at lately',
		body: doc(part('productList', { source: 'recent', count: 4, heading: 'You looked at' })),
		settings: { form: 'line' },
		placements: [{ id: 'below-related', hook: 'below-related', priority: 10 }],
		target: { all: [] }
	},
	'sending-season': {
		kind: 'message',
		name: 'Sending season',
		note: 'The season is an attribute of the category.',
		icon: 'calendar',
		body: markdown('We send {category.title} in season: **{attribute.season}**.'),
		settings: { tone: 'note', form: 'line' },
		placements: [{ id: 'below-summary', hook: 'below-summary', priority: 30 }],
		target: { any: [within('bulbs'), within('trees-and-shrubs')] }
	},
	'call-the-nursery': {
		kind: 'message',
		name: 'Call the nursery · phone only',
		icon: 'phone',
		body: markdown('Not sure? [Call a gardener](tel:+4900000000), weekdays until four.'),
		settings: { tone: 'note', button: null },
		placements: [{ id: 'below-tabs', hook: 'below-tabs', priority: 30, devices: ['phone'] }],
		target: { all: [] }
	},
	'spring-freight': {
		kind: 'message',
		name: 'Spring freight notice',
		icon: 'calendar',
		note: 'Switch on in March.',
		body: markdown('In spring our freight days are Tuesday and Friday.'),
		settings: { tone: 'note', button: null },
		placements: [{ id: 'page-top', hook: 'page-top', priority: 10 }],
		target: tag('oversize'),
		on: false
	}
};
