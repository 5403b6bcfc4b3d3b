import type { Rule } from '@anbau/core/rules';
import { heading, part, within, type PieceDocument } from './bodies.js';

const has = (code: string): Rule => ({ field: `attribute.${code}`, operator: 'has', value: true });

/**
 * Films, frames and reviews, by slug. `{film:assembly}` and the like become the addresses of uploads, `{host}` that of
 * the media host, when the demo is filled in.
 */
export const DEMO_WATCHED: Record<string, PieceDocument> = {
	'assembly-film': {
		kind: 'tab',
		name: 'Assembly film',
		note: 'The film, and below it where we stand to be asked.',
		icon: 'film',
		panels: [
			{
				slug: 'film',
				heading: 'Assembly film',
				body: {
					type: 'doc',
					content: [
						part('media', {
							type: 'film',
							address: '{film:assembly}',
							alt: 'How a greenhouse is put together, in five steps',
							caption: 'Two people, a weekend, and the manual.',
							poster: '{still:assembly}',
							captions: '{captions:assembly}',
							ratio: '16:9'
						}),
						heading('See one that stands'),
						part('media', {
							type: 'embed',
							address: '{host}/map/nursery',
							alt: 'The way to the nursery',
							ratio: '16:9',
							poster: '{still:nursery}'
						})
					]
				}
			}
		],
		placements: [{ id: 'tabs', hook: 'tabs', priority: 22 }],
		target: within('greenhouses-and-frames/greenhouses')
	},
	'film-of-the-product': {
		kind: 'media',
		name: 'Film of the product',
		note: 'Where the attribute Film has one; nothing stands there otherwise.',
		icon: 'play',
		settings: {
			type: 'film',
			address: '{attribute.film}',
			alt: 'A film of {product.title}',
			poster: '{still:planting}',
			ratio: '16:9'
		},
		placements: [{ id: 'below-tabs', hook: 'below-tabs', priority: 5 }],
		target: { all: [] }
	},
	'how-it-is-sown': {
		kind: 'media',
		name: 'How it is sown',
		note: 'Moves by itself, except for visitors who want little motion.',
		icon: 'sprout',
		settings: {
			type: 'film',
			address: '{film:sowing}',
			alt: 'A seed is sown, watered, and comes up',
			caption: 'Sow {attribute.sowing_depth} deep.',
			poster: '{still:sowing}',
			ratio: '16:9',
			loops: true
		},
		placements: [{ id: 'gallery', hook: 'gallery', priority: 25 }],
		target: { all: [within('seeds'), has('sowing_depth')] }
	},
	'stars-by-the-title': {
		kind: 'reviews',
		name: 'Stars by the title',
		icon: 'star',
		settings: { form: 'stars' },
		placements: [{ id: 'below-title', hook: 'below-title', priority: 10 }],
		target: { all: [] }
	},
	reviews: {
		kind: 'reviews',
		name: 'Reviews',
		heading: 'Reviews',
		note: 'To read and to write one; asks for the first where there is none.',
		icon: 'star',
		settings: { form: 'section', none: 'invite', perPage: 4 },
		placements: [{ id: 'tabs', hook: 'tabs', priority: 60 }],
		target: { all: [] }
	},
	'good-words': {
		kind: 'reviews',
		name: 'Good words',
		note: 'Two quotes below the trees.',
		icon: 'quote',
		settings: { form: 'quotes', quotes: 2, least: 5 },
		placements: [{ id: 'below-tabs', hook: 'below-tabs', priority: 10 }],
		target: within('trees-and-shrubs')
	}
};
