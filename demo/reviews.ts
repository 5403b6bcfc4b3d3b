import type { Review } from '@anbau/core/reviews';
import { randomFrom } from './random.js';
import { writtenProducts } from './written.js';

/** A review as the API takes it. */
type DemoReview = Omit<Review, 'pictures'>;

const AUTHORS = [
	...['Ada M.', 'Bram', 'Carla W.', 'D. Oyelaran', 'Edda', 'Finn R.', 'Greta S.', 'Hanno', 'Ines P.', 'Jonte'],
	...['Kaja L.', 'L. Brandvold', 'Mirko', 'Nele T.', 'Otis', 'Petra H.', 'Quirin', 'Runa K.', 'Sami', 'Tove A.']
];

/** Openings, middles and ends by rating; put together they make reviews that differ. */
const WORDS: Record<number, { titles: string[]; texts: string[]; ends: string[] }> = {
	5: {
		titles: ['Exactly right', 'Would buy again', 'Better than we hoped', 'Lovely', ''],
		texts: [
			'Came well packed and just as described.',
			'My neighbour asked where it is from on the second day.',
			'Everything fitted, nothing was missing, and the instructions can be read.',
			'We compared three and this was the one that felt as if it would last.'
		],
		ends: [
			'Two years on it still looks new.',
			'The nursery answered my question the same day.',
			'Very happy with it.',
			''
		]
	},
	4: {
		titles: ['Good, with one small wish', 'Solid', 'Does what it should', ''],
		texts: [
			'Good quality for the price.',
			'Took a little longer than said, but it was worth the wait.',
			'A bit heavier than I thought; once it stood, it stood.'
		],
		ends: ['A second pair of gloves would have been kind.', 'One star off for the packaging.', '']
	},
	3: {
		titles: ['It is all right', 'Mixed feelings', ''],
		texts: ['Works, but the finish could be better.', 'Smaller than it looks in the picture, so do read the sizes.'],
		ends: ['I kept it.', 'For the price it is fine.']
	},
	2: {
		titles: ['Not for us', 'Expected more'],
		texts: [
			'One part was bent and I had to ask twice for another.',
			'Half of it did not come up, though the spring was cold.'
		],
		ends: ['The new part came in the end.', 'I will try once more.']
	},
	1: {
		titles: ['Arrived broken'],
		texts: ['The corner was crushed and the carrier left it in the rain.'],
		ends: ['Sent it back.']
	}
};
const REPLY = 'Thank you for telling us. A new part is on its way, and we have spoken to the carrier.';
const DAY = 86_400_000;

/** Reviews of the written-out products, the same on every machine but for their dates, which end today. */
export function demoReviews(now: number): DemoReview[] {
	const random = randomFrom(4711);
	const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
	const reviews: DemoReview[] = [];
	for (const [i, { key }] of writtenProducts().entries()) {
		// Every seventh product has none yet.
		const count = i % 7 === 5 ? 0 : 2 + Math.floor(random() * 22);
		for (let n = 0; n < count; n++) {
			const luck = random();
			const rating = luck < 0.52 ? 5 : luck < 0.8 ? 4 : luck < 0.91 ? 3 : luck < 0.97 ? 2 : 1;
			const { titles, texts, ends } = WORDS[rating] ?? { titles: [''], texts: [''], ends: [''] };
			const age = Math.floor(random() * random() * 700);
			const isNew = age < 9;
			reviews.push({
				id: `${key}-${n + 1}`,
				product: key,
				rating,
				title: pick(titles),
				text: [pick(texts), pick(ends)].filter((words) => words !== '').join(' '),
				author: pick(AUTHORS),
				date: new Date(now - age * DAY - Math.floor(random() * DAY)).toISOString(),
				verified: random() < 0.6,
				state: isNew ? 'waiting' : rating === 1 && n % 2 === 0 ? 'hidden' : 'shown',
				reason: !isNew && rating === 1 && n % 2 === 0 ? 'About the carrier' : '',
				reply: rating <= 2 && !isNew && random() < 0.7 ? REPLY : ''
			});
		}
	}
	return reviews;
}
