import type { Rule } from '@anbau/core/rules';

/** A piece document as the API takes it. */
interface PieceDocument {
	kind: 'tab' | 'message';
	name: string;
	heading?: string;
	note?: string;
	icon?: string;
	body?: { markdown: string };
	panels?: { slug: string; heading: string; icon?: string; body: { markdown: string } }[];
	settings?: unknown;
	placements: { id: string; hook: string; priority: number; devices?: string[] }[];
	target: Rule;
	on?: boolean;
}

const tag = (value: string): Rule => ({ field: 'tag', operator: 'is', value });
const within = (value: string): Rule => ({ field: 'category', operator: 'in', value });

/** The demo's library, by slug. */
export const DEMO_PIECES: Record<string, PieceDocument> = {
	'made-to-order-notice': {
		kind: 'message',
		name: 'Made-to-order notice',
		note: 'The workshop changes the lead times in January. They are tags of the products.',
		icon: 'hammer',
		body: { markdown: 'We build this one for you.\n\n**{product.title}** leaves our workshop in **{tag.lead}**.' },
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
		body: { markdown: 'This comes by freight. The driver calls you the day before and brings it to the kerb.' },
		settings: { tone: 'note', button: { label: 'How freight works', href: '/pages/delivery' } },
		placements: [{ id: 'below-buy', hook: 'below-buy', priority: 20 }],
		target: tag('oversize')
	},
	'low-stock': {
		kind: 'message',
		name: 'Only a few left',
		icon: 'clock',
		body: { markdown: 'Only **{product.stock}** left of this batch.' },
		settings: { tone: 'urgent', button: null },
		placements: [{ id: 'above-buy', hook: 'above-buy', priority: 20 }],
		target: { all: [{ field: 'stock', operator: 'between', value: [1, 5] }, { not: tag('made-to-order') }] }
	},
	saving: {
		kind: 'message',
		name: 'What you save',
		icon: 'discount',
		body: { markdown: 'You save **{product.saving}** against our list price of {product.listPrice}.' },
		settings: { tone: 'tip', button: null },
		placements: [{ id: 'below-price', hook: 'below-price', priority: 10 }],
		target: { all: [{ field: 'onSale', operator: 'is', value: true }] }
	},
	'makers-part': {
		kind: 'message',
		name: 'Maker’s part number',
		icon: 'tools',
		body: { markdown: 'Maker’s part no. **{tag.part}**' },
		settings: { tone: 'note', button: null },
		placements: [{ id: 'below-details', hook: 'below-details', priority: 10 }],
		target: { field: 'tag', operator: 'startsWith', value: 'part:' }
	},
	'bare-root-season': {
		kind: 'message',
		name: 'Bare-root season',
		icon: 'snowflake',
		body: { markdown: 'Bare-root plants leave us from November to March, while they sleep.' },
		settings: { tone: 'note', button: null },
		placements: [{ id: 'below-summary', hook: 'below-summary', priority: 12 }],
		target: { any: [tag('bare-root'), within('trees-and-shrubs/hedging')] }
	},
	'peat-free-promise': {
		kind: 'message',
		name: 'Peat-free promise',
		icon: 'leaf',
		body: { markdown: 'Peat-free, as everything we mix ourselves.' },
		settings: { tone: 'tip', button: null },
		placements: [{ id: 'below-summary', hook: 'below-summary', priority: 15 }],
		target: tag('peat-free')
	},
	'bee-friendly': {
		kind: 'message',
		name: 'Loved by bees',
		icon: 'flower',
		body: { markdown: 'Loved by bees: open flowers with nectar within reach.' },
		settings: { tone: 'tip', button: null },
		placements: [{ id: 'below-summary', hook: 'below-summary', priority: 20 }],
		target: tag('bee-friendly')
	},
	'growing-guide': {
		kind: 'tab',
		name: 'Growing guide',
		icon: 'sprout',
		panels: [
			{
				slug: 'growing-guide',
				heading: 'Growing guide',
				body: {
					markdown:
						'## When to sow\n\nSow {product.title} from **{tag.sow}**, on a day when the soil crumbles in your hand.\n\n## How\n\n1. Rake the bed fine and water it the evening before.\n2. Sow thinly in rows and cover with sieved soil.\n3. Thin the seedlings when they touch.\n\n## Keep in mind\n\n- Seeds keep for three years in a cool, dry place.\n- [Ask a gardener](/pages/contact) when in doubt.'
				}
			}
		],
		placements: [{ id: 'tabs', hook: 'tabs', priority: 5 }],
		target: { all: [within('seeds')] }
	},
	'planting-bare-root': {
		kind: 'tab',
		name: 'Planting bare-root',
		icon: 'shovel',
		panels: [
			{
				slug: 'planting',
				heading: 'Planting',
				body: {
					markdown:
						'Soak the roots for an hour. Dig the hole twice as wide as the roots and plant to the old soil mark.\n\nFirm with your heel and water once, well, even in rain.'
				}
			},
			{
				slug: 'first-year',
				heading: 'The first year',
				body: {
					markdown:
						'- Keep a square metre round the stem free of grass.\n- Water in dry weeks, a full can at a time.\n- Take off the first fruit.'
				}
			}
		],
		placements: [{ id: 'tabs', hook: 'tabs', priority: 15 }],
		target: tag('bare-root')
	},
	'care-of-wood': {
		kind: 'tab',
		name: 'Care of wood',
		icon: 'leaf',
		panels: [
			{
				slug: 'care-of-wood',
				heading: 'Care of wood',
				body: {
					markdown:
						'Oil oak and larch once a year in spring. Left alone, both turn silver-grey; that is only a matter of taste.'
				}
			}
		],
		placements: [{ id: 'tabs', hook: 'tabs', priority: 25 }],
		target: {
			any: [
				{ field: 'attribute.material', operator: 'in', value: ['Oak', 'Larch', 'Cedar', 'Pine'] },
				within('benches')
			]
		}
	},
	'call-the-nursery': {
		kind: 'message',
		name: 'Call the nursery · phone only',
		icon: 'phone',
		body: { markdown: 'Not sure? [Call a gardener](tel:+4900000000), weekdays until four.' },
		settings: { tone: 'note', button: null },
		placements: [{ id: 'below-tabs', hook: 'below-tabs', priority: 30, devices: ['phone'] }],
		target: { all: [] }
	},
	'spring-freight': {
		kind: 'message',
		name: 'Spring freight notice',
		icon: 'calendar',
		note: 'Switch on in March.',
		body: { markdown: 'In spring our freight days are Tuesday and Friday.' },
		settings: { tone: 'note', button: null },
		placements: [{ id: 'page-top', hook: 'page-top', priority: 10 }],
		target: tag('oversize'),
		on: false
	}
};
