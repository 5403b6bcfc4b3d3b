import { describe, expect, it } from 'vitest';
import { checkCaptions, isWebVtt } from './captions.js';
import { judge } from './judge.js';

const check = (text: string) => checkCaptions(text, text.length);

// Examples of the W3C specification "WebVTT: The Web Video Text Tracks Format", sections 1.1 to 1.4, shortened.
const EXAMPLES: Record<string, { text: string; cues: number; end: number }> = {
	'a simple caption file (1.1)': {
		text: `WEBVTT

00:11.000 --> 00:13.000
<v Roger Bingham>We are in New York City

00:13.000 --> 00:16.000
<v Roger Bingham>We’re actually at the Lucern Hotel, just down the street

00:16.000 --> 00:18.000
<v Roger Bingham>from the American Museum of Natural History`,
		cues: 3,
		end: 18
	},
	'captions over several lines (1.2)': {
		text: `WEBVTT

00:01.000 --> 00:04.000
Never drink liquid nitrogen.

00:05.000 --> 00:09.000
— It will perforate your stomach.
— You could die.`,
		cues: 2,
		end: 9
	},
	'identifiers, settings and a comment (1.3, 1.4)': {
		text: `WEBVTT

NOTE this is a comment

1
00:00.000 --> 00:02.000 position:10%,line-left align:left size:35%
Where did he go?

2
00:04.000 --> 00:06.500 align:center size:35%
What are you waiting for?`,
		cues: 2,
		end: 6.5
	}
};

describe('captions', () => {
	it.each(Object.entries(EXAMPLES))('of the specification are read: %s', (_, { text, cues, end }) => {
		expect(isWebVtt(text)).toBe(true);
		expect(check(text)).toMatchObject({ cues, duration: end });
	});

	it('are told by their first line alone (section 4.1)', () => {
		for (const text of ['WEBVTT', '\uFEFFWEBVTT\n', 'WEBVTT - with a header\n']) expect(isWebVtt(text)).toBe(true);
		for (const text of ['', 'webvtt\n', 'WEBVTTX\n', '1\n00:01 --> 00:02\n']) expect(isWebVtt(text)).toBe(false);
	});

	it('say in which line they are wrong, and that they say nothing', () => {
		const facts = check('WEBVTT\n\n00:03.000 --> 00:01.000\nBackwards\n\n00:04.000 -> 00:05.000\nNo arrow\n');
		expect(facts.faults.map(({ line }) => line)).toEqual(expect.arrayContaining([3]));
		expect(judge(facts)[0]).toMatchObject({ level: 'warning', text: expect.stringMatching(/^line 3: /) as string });
		expect(judge(check('WEBVTT\n'))[0]).toMatchObject({ level: 'bad' });
		expect(judge(check('WEBVTT\n\n00:01.000 --> 00:02.000\nFine\n'))).toMatchObject([{ level: 'good' }]);
	});
});
