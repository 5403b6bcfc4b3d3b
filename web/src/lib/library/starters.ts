import type { PieceKind } from '@anbau/core/pieces';

/** A ready-made piece to begin from, as the API takes it: texts in Markdown, live values as arguments. */
export interface ReadyMade {
	kind: PieceKind;
	name: string;
	/** What it is good for. */
	words: string;
	document: Record<string, unknown>;
}

const markdown = (text: string) => ({ markdown: text });
const panel = (slug: string, heading: string, text: string) => ({ slug, heading, body: markdown(text) });
const part = (type: string, attrs: object) => ({ type, attrs });
const doc = (...content: object[]) => ({ type: 'doc', content });

/** The starters that ship with Anbau. */
export const READY_MADE: readonly ReadyMade[] = [
	{
		kind: 'tab',
		name: 'Size chart',
		words: 'a table of sizes',
		document: {
			icon: 'ruler',
			panels: [
				panel(
					'sizes',
					'Sizes',
					'| Size | Width | Length |\n| --- | --- | --- |\n| Small | 60 cm | 120 cm |\n| Large | 90 cm | 180 cm |\n\nMeasured flat; a centimetre either way is usual.'
				)
			]
		}
	},
	{
		kind: 'tab',
		name: 'Growing guide',
		words: 'when and how to sow and plant',
		document: {
			icon: 'sprout',
			panels: [
				panel(
					'guide',
					'Growing guide',
					'## When to sow\n\nSow {product.title} from **{tag.sow}**.\n\n## How\n\n1. Rake the bed fine and water it the evening before.\n2. Sow thinly and cover with sieved soil.\n3. Thin the seedlings when they touch.'
				)
			]
		}
	},
	{
		kind: 'tab',
		name: 'Documents',
		words: 'manuals and data sheets, where a product has any',
		document: {
			icon: 'document',
			panels: [{ slug: 'documents', heading: 'Documents', body: doc(part('documentList', { codes: ['manuals'] })) }]
		}
	},
	{
		kind: 'tab',
		name: 'Goes well with',
		words: 'products of the same category',
		document: {
			icon: 'leaf',
			panels: [
				{
					slug: 'with',
					heading: 'Goes well with',
					body: doc(part('productList', { source: 'sameCategory', count: 4 }))
				}
			]
		}
	},
	{
		kind: 'accordion',
		name: 'Questions and answers',
		words: 'what customers ask before they buy',
		document: {
			heading: 'Questions',
			icon: 'help',
			panels: [
				panel('when', 'When does it leave you?', 'Orders of this hour leave us by **{delivery.date, date, full}**.'),
				panel('return', 'Can I send it back?', 'Within thirty days, unused. Living plants we replace instead.'),
				panel('help', 'Who can help me choose?', 'Our gardeners answer the telephone on weekdays until four.')
			]
		}
	},
	{
		kind: 'accordion',
		name: 'Care in four seasons',
		words: 'one panel for each season',
		document: {
			icon: 'sun',
			settings: { open: 'first' },
			panels: [
				panel('spring', 'Spring', 'Look for what the winter broke, and feed once.'),
				panel('summer', 'Summer', 'Water in the morning, seldom and well.'),
				panel('autumn', 'Autumn', 'Clear what is spent and cover bare soil.'),
				panel('winter', 'Winter', 'Leave it alone, but for snow on thin branches.')
			]
		}
	},
	{
		kind: 'message',
		name: 'Lead time',
		words: 'when it leaves, with a countdown to today’s cut-off',
		document: {
			icon: 'truck',
			body: markdown(
				'Leaves us by **{delivery.date, date, full}**.\n\nOrder within {delivery.countdown} and it counts from today.'
			),
			settings: { tone: 'note' }
		}
	},
	{
		kind: 'message',
		name: 'Only a few left',
		words: 'stock with the right plural',
		document: {
			icon: 'clock',
			body: markdown('{product.stock, plural, one {Only # left} other {Only # left}} of this batch.'),
			settings: { tone: 'urgent' }
		}
	},
	{
		kind: 'message',
		name: 'Announcement bar',
		words: 'a line across the page that can be closed',
		document: {
			body: markdown('Our nursery is open on **Saturday** from nine to four.'),
			settings: { form: 'bar', closable: true, tone: 'tip' }
		}
	},
	{
		kind: 'message',
		name: 'Read more in a dialog',
		words: 'a button that opens a dialog',
		document: {
			heading: 'How freight works',
			body: markdown('The driver calls you the day before and brings it to the kerb.'),
			settings: { form: 'dialog', opener: 'How freight works' }
		}
	}
];
