import { pdfOf } from './pdf.js';

/** The demo's PDF documents, by the name that its values have for them. */
export const DEMO_DOCUMENTS: Record<string, { name: string; content: Buffer }> = Object.fromEntries(
	(
		[
			[
				'assembly',
				'Assembly manual',
				[
					'1. Level the ground and lay the base frame.',
					'2. Join the gables on the ground, then raise them with a second person.',
					'3. Hang the ridge, then the roof bars from the middle outwards.',
					'4. Glaze from below; leave two millimetres at each side.'
				]
			],
			[
				'care',
				'Care of aluminium frames',
				['Wash with soap and water, never with acid.', 'Grease the door rail once a year.']
			],
			['guarantee', 'Guarantee', ['Ten years on the frame, five on the glazing.']],
			['campaign', 'Spring campaign 2026', ['Free staging with every greenhouse until the end of June.']],
			[
				'hose',
				'How to lay a drip hose',
				['Lay it in rows a hand apart, the drippers upwards, and cover it with mulch.']
			]
		] as [string, string, string[]][]
	).map(([slug, title, lines]) => [slug, { name: `${slug}.pdf`, content: pdfOf(title, lines) }])
);
