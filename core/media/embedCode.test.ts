import { describe, expect, it } from 'vitest';
import { readEmbedCode } from './embedCode.js';

describe('an embed code', () => {
	it('leaves its frame: address, shape, and what it may; everything else falls away and is told', () => {
		const code = `<div class="box"><iframe src="https://films.example/frame/7" width="560" height="315" title="A film"
			allow="accelerometer; autoplay; picture-in-picture" allowfullscreen onload="track()"></iframe></div>
			<p><a href="https://films.example/7">A film</a></p><img src="https://count.example/p.gif" width="1" height="1">
			<script src="https://count.example/t.js"></script><script>boom()</script>`;
		expect(readEmbedCode(code)).toEqual({
			frame: {
				address: 'https://films.example/frame/7',
				title: 'A film',
				ratio: '560:315',
				allow: ['fullscreen', 'picture-in-picture', 'autoplay']
			},
			dropped: [
				'a link to films.example',
				'a picture that loads from count.example',
				'a script of count.example',
				'a script',
				'the permission accelerometer',
				'code on the frame'
			]
		});
	});

	it('with six frames keeps the first', () => {
		const { frame, dropped } = readEmbedCode('<iframe src="//maps.example/1"></iframe>'.repeat(6));
		expect(frame?.address).toBe('https://maps.example/1');
		// A shape that is not said is that of a film.
		expect(frame?.ratio).toBe('16:9');
		expect(dropped).toEqual(['another frame, of maps.example, 5 times']);
	});

	it('has nothing to show without a frame that leads to the web', () => {
		for (const code of ['<script>1</script>', '', '<iframe src="javascript:alert(1)"></iframe>', '<iframe srcdoc="x">'])
			expect(readEmbedCode(code).frame, code).toBeNull();
		expect(readEmbedCode('<iframe width="100%" height="450" src="https://a.example/">').frame?.ratio).toBe('16:9');
	});
});
