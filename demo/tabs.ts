import {
	doc,
	heading,
	iconList,
	markdown,
	paragraph,
	part,
	steps,
	tag,
	text,
	value,
	within,
	type PieceDocument
} from './bodies.js';

/** The demo's tabs and accordions, by slug. */
export const DEMO_TABS: Record<string, PieceDocument> = {
	'growing-guide': {
		kind: 'tab',
		name: 'Growing guide',
		note: 'One tab for all seeds and bulbs; depth and spacing are attributes of the product.',
		icon: 'sprout',
		panels: [
			{
				slug: 'growing-guide',
				heading: 'Growing guide',
				body: doc(
					heading('At a glance'),
					part('attributeTable', { codes: ['sowing_depth', 'spacing', 'hardiness'] }),
					heading('When to sow'),
					paragraph(
						text('Sow '),
						value('product.title'),
						text(' from '),
						{ ...value('tag.sow'), marks: [{ type: 'bold' }] },
						text(', on a day when the soil crumbles in your hand.')
					),
					heading('How'),
					steps(
						[text('Rake the bed fine and water it the evening before.')],
						[text('Sow '), value('attribute.sowing_depth'), text(' deep and cover with sieved soil.')],
						[text('Thin to '), value('attribute.spacing'), text(' when the seedlings touch.')]
					),
					heading('Keep in mind'),
					iconList(
						'column',
						['calendar', 'Seeds keep for three years in a cool, dry place.'],
						['help', 'Ask a gardener when in doubt.']
					)
				)
			}
		],
		placements: [{ id: 'tabs', hook: 'tabs', priority: 5 }],
		target: { any: [within('seeds'), within('bulbs')] }
	},
	documents: {
		kind: 'tab',
		name: 'Documents',
		note: 'For every product; where there are no manuals, the quiet rule takes the tab away.',
		icon: 'document',
		panels: [{ slug: 'documents', heading: 'Documents', body: doc(part('documentList', { codes: ['manuals'] })) }],
		placements: [{ id: 'tabs', hook: 'tabs', priority: 22 }],
		target: { all: [] }
	},
	'goes-well-with': {
		kind: 'tab',
		name: 'Goes well with',
		note: 'Fills itself from the category; gone where a category has one product only.',
		icon: 'leaf',
		panels: [
			{
				slug: 'with',
				heading: 'Goes well with',
				body: doc(
					part('productList', { source: 'attribute', code: 'goes_with', count: 4, heading: 'Our gardeners’ choice' }),
					part('productList', { source: 'sameCategory', count: 4, heading: 'From the same bed' })
				)
			}
		],
		placements: [{ id: 'tabs', hook: 'tabs', priority: 40 }],
		target: { any: [within('seeds'), within('greenhouses-and-frames'), within('vouchers')] }
	},
	care: {
		kind: 'tab',
		name: 'Care',
		icon: 'heart',
		panels: [{ slug: 'care', heading: 'Care', body: doc(paragraph(value('attribute.care_guide'))) }],
		placements: [{ id: 'tabs', hook: 'tabs', priority: 24 }],
		target: { field: 'attribute.care_guide', operator: 'has', value: true }
	},
	'greenhouse-questions': {
		kind: 'accordion',
		name: 'Greenhouse questions',
		icon: 'help',
		heading: 'Questions about greenhouses',
		panels: [
			{
				slug: 'ground',
				heading: 'What does it stand on?',
				body: markdown('On firm, level ground: paving, a brick base or our steel base. Grass alone gives way.')
			},
			{
				slug: 'glazing',
				heading: 'Glass or polycarbonate?',
				body: markdown(
					'{product.title} has **{attribute.glazing}**.\n\nGlass stays clear for decades; polycarbonate keeps warmer and forgives a ball.'
				)
			},
			{
				slug: 'help',
				heading: 'Will you put it up for me?',
				above: markdown('### Before you order'),
				body: markdown('Within 100 km of the nursery, yes. [Ask us](/pages/contact) for a day.')
			}
		],
		settings: { many: false, open: 'first' },
		placements: [{ id: 'below-tabs', hook: 'below-tabs', priority: 10 }],
		target: within('greenhouses-and-frames')
	},
	'planting-bare-root': {
		kind: 'tab',
		name: 'Planting bare-root',
		icon: 'shovel',
		panels: [
			{
				slug: 'planting',
				heading: 'Planting',
				body: markdown(
					'Soak the roots for an hour. Dig the hole twice as wide as the roots and plant to the old soil mark.\n\nFirm with your heel and water once, well, even in rain.'
				)
			},
			{
				slug: 'first-year',
				heading: 'The first year',
				body: markdown(
					'- Keep a square metre round the stem free of grass.\n- Water in dry weeks, a full can at a time.\n- Take off the first fruit.'
				)
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
				body: doc(
					{
						type: 'columns',
						content: [
							{
								type: 'column',
								content: [
									heading('Oiled'),
									paragraph(text('Oil oak and larch once a year in spring; the wood keeps its colour.'))
								]
							},
							{
								type: 'column',
								content: [
									heading('Left alone'),
									paragraph(text('Both turn silver-grey; that is only a matter of taste.'))
								]
							}
						]
					},
					iconList('row', ['sun', 'once a year'], ['water', 'no pressure washer'], ['leaf', 'linseed oil'])
				)
			}
		],
		placements: [{ id: 'tabs', hook: 'tabs', priority: 25 }],
		target: {
			any: [
				{ field: 'attribute.material', operator: 'in', value: ['Oak', 'Larch', 'Cedar', 'Pine'] },
				within('benches')
			]
		}
	}
};
