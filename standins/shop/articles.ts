import { html, type Html } from './html.js';

/** What the shop tells beside what it sells. */
export interface Article {
	slug: string;
	title: string;
	/** Headings and paragraphs in order. */
	text: ({ heading: string } | string)[];
}

export const ARTICLES: readonly Article[] = [
	{
		slug: 'sowing-under-glass',
		title: 'Sowing under glass',
		text: [
			'An unheated house is worth three weeks at either end of the year. It keeps wind and rain off, and it holds a little of the day until morning.',
			'Begin with what stands some frost: lettuce, peas, broad beans, spinach. Leave tomatoes and beans indoors until May.',
			{ heading: 'The first week' },
			'Sow into trays of sieved soil, water from below and cover with a pane. Take the pane off as soon as the first leaves show.',
			'Air on every mild day. More seedlings die of a closed door than of a cold night.',
			{ heading: 'Hardening off' },
			'Ten days before planting out, carry the trays outside in the morning and in again at night. Water in the morning only.',
			'On the last two nights they stay out, under fleece if it is clear.'
		]
	},
	{
		slug: 'planting-a-hedge',
		title: 'Planting a hedge',
		text: [
			'Bare-root plants go in between November and March, on any day when the ground is neither frozen nor full of water.',
			{ heading: 'Marking out' },
			'Stretch a line and dig a trench two spades wide. Four plants to the metre make a hedge in three years.',
			'Soak the roots for an hour, plant to the old soil mark and firm with your heel.',
			{ heading: 'The first cut' },
			'Cut everything back by a third at once. It looks cruel and makes the hedge thick at its foot.'
		]
	},
	{
		slug: 'a-can-a-day',
		title: 'A can a day',
		text: [
			'Most pots get too little water too often. A full can once is better than a cup every evening.',
			'Push a finger into the soil: where it is dry to the second joint, water until it runs out below.'
		]
	}
];

/** The text of an article. */
export function articleText({ text }: Article): Html[] {
	return text.map((part) => (typeof part === 'string' ? html`<p>${part}</p>` : html`<h2>${part.heading}</h2>`));
}
