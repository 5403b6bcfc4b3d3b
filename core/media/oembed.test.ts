import { describe, expect, it } from 'vitest';
import { oembedProviderSchema, providerOf, readOembed, requestFor } from './oembed.js';

const provider = (change: object) =>
	oembedProviderSchema.parse({
		name: 'Films',
		schemes: ['http://films.example/*'],
		endpoint: 'https://films.example/oembed',
		...change
	});

// The shapes of the examples in the oEmbed specification (oembed.com, sections 2.1 to 2.3 and 3), with hosts made up.
describe('providers', () => {
	it.each([
		['http://www.pictures.example/photos/*', 'http://www.pictures.example/photos/bees/2341623661', true],
		['http://www.pictures.example/photos/*', 'http://www.pictures.example/groups/1', false],
		['http://www.pictures.example/photos/*/sets', 'http://www.pictures.example/photos/bees/sets', true],
		['http://*.pictures.example/photos/*', 'http://m.pictures.example/photos/1', true],
		['http://*.pictures.example/photos/*', 'http://pictures.example.evil/photos/1', false],
		['https://films.example/*', 'http://films.example/1', false],
		['https://films.example/*', 'https://filmsXexample/1', false]
	])('of the scheme %s describe %s: %s', (scheme, address, expected) => {
		expect(providerOf(address, [provider({ schemes: [scheme] })]) !== undefined).toBe(expected);
	});

	it('are asked with the address encoded, a width, and their key under its name', () => {
		const url = 'http://films.example/watch?v=bees & honey';
		expect(requestFor(url, provider({}), 300)).toBe(
			'https://films.example/oembed?url=http%3A%2F%2Ffilms.example%2Fwatch%3Fv%3Dbees+%26+honey&format=json&maxwidth=300'
		);
		const keyed = requestFor(url, provider({ endpoint: 'https://f.example/{format}/', keyName: 'k', key: 'a&b' }), 300);
		expect(keyed).toMatch(/^https:\/\/f\.example\/json\/\?url=.*&k=a%26b$/);
	});
});

describe('an answer', () => {
	it('of type photo is a picture, with a shape from its size', () => {
		const answer = {
			version: '1.0',
			type: 'photo',
			width: 240,
			height: 160,
			title: 'ZB8T0193',
			url: 'http://farm.pictures.example/3123/2341623661_7c99f48bbf_m.jpg',
			author_name: 'Bees',
			author_url: 'http://www.pictures.example/photos/bees/',
			provider_name: 'Pictures'
		};
		expect(readOembed(answer)).toMatchObject({
			ok: true,
			described: {
				type: 'picture',
				address: answer.url,
				title: 'ZB8T0193',
				author: 'Bees',
				ratio: '240:160',
				still: ''
			}
		});
	});

	it('of type video or rich leaves the frame of its code', () => {
		const html = '<iframe src="https://films.example/e/1" width="425" height="344"></iframe><script></script>';
		const answer = {
			version: '1.0',
			type: 'video',
			html,
			width: '425',
			height: '344',
			title: 'Amazing bees',
			thumbnail_url: 'https://films.example/t.jpg'
		};
		expect(readOembed(answer)).toMatchObject({
			ok: true,
			described: {
				type: 'embed',
				address: 'https://films.example/e/1',
				ratio: '425:344',
				still: 'https://films.example/t.jpg',
				dropped: ['a script']
			}
		});
		expect(readOembed({ ...answer, type: 'rich', width: '100%' })).toMatchObject({ ok: true });
	});

	it('of type link shows nothing, and what is no oEmbed is refused with why', () => {
		expect(readOembed({ version: '1.0', type: 'link' })).toMatchObject({ ok: true, described: { type: 'link' } });
		for (const answer of [
			null,
			{},
			{ type: 'photo', version: '1.0' },
			{ type: 'video', version: '2.0', html: '<iframe src="https://a.example">' },
			{ type: 'video', version: '1.0', html: '<b>none</b>' },
			{ type: 'photo', version: '1.0', url: 'javascript:1' }
		]) {
			const reading = readOembed(answer);
			expect(reading.ok, JSON.stringify(answer)).toBe(false);
		}
	});
});
