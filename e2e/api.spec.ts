import { expect, running, test } from './running.js';

const message = (change: object = {}) => ({ kind: 'message', name: 'A message', body: { markdown: 'x' }, ...change });

test('a piece is written, read, guarded, reached, explained, published, put back and deleted', async ({ call }) => {
	const made = await call(
		'PUT',
		'/pieces/api-piece',
		message({
			body: { markdown: 'For **{product.title}**' },
			target: { field: 'product', operator: 'in', value: ['cold-frame-60'] },
			placements: [{ hook: 'above-buy' }]
		}),
		{ 'if-none-match': '*' }
	);
	expect(made.status()).toBe(200);
	const piece = (await made.json()) as { version: number; placements: { id: string }[] };
	expect(piece).toMatchObject({
		slug: 'api-piece',
		on: true,
		reach: 1,
		state: { publication: 'draft' },
		placements: [{ hook: 'above-buy', priority: 50, devices: ['phone', 'tablet', 'desktop'] }]
	});
	expect((await call('PUT', '/pieces/api-piece', message(), { 'if-none-match': '*' })).status()).toBe(412);

	await test.step('If-Match guards against overwriting a colleague, and both versions are kept', async () => {
		const etag = made.headers().etag ?? '';
		const mine = await call('PUT', '/pieces/api-piece', { ...piece, note: 'mine' }, { 'if-match': etag });
		expect(mine.status()).toBe(200);
		const theirs = await call('PUT', '/pieces/api-piece', { ...piece, note: 'theirs' }, { 'if-match': etag });
		expect(theirs.status()).toBe(412);
		expect(await theirs.json()).toMatchObject({
			type: 'urn:anbau:problem:changed-meanwhile',
			current: { note: 'mine' }
		});
		expect(await (await call('GET', '/pieces/api-piece')).json()).toMatchObject({
			note: 'mine',
			placements: piece.placements
		});
	});

	expect(
		await (
			await call('POST', '/reach', {
				target: { field: 'category', operator: 'in', value: 'greenhouses-and-frames/cold-frames' }
			})
		).json()
	).toMatchObject({
		matched: 3,
		byCategory: [{ category: 'greenhouses-and-frames', matched: 3 }],
		sample: expect.arrayContaining(['cold-frame-60']) as unknown
	});
	expect(await (await call('POST', '/explain', { piece: 'api-piece', product: 'cold-frame-60' })).json()).toMatchObject(
		{ shown: true, placements: [{ hook: 'above-buy', shown: true }] }
	);
	expect(
		await (await call('POST', '/explain', { piece: 'api-piece', product: 'border-spade-ash-handle' })).json()
	).toMatchObject({ shown: false, flip: ['/target'], reasons: [{ kind: 'rule', ok: false, at: '/target' }] });

	const waits = (await (await call('GET', '/impact?piece=api-piece')).json()) as { pages: number };
	expect(waits.pages).toBe(1);
	const { release } = (await (
		await call('POST', '/publish', { note: 'by the API', pieces: ['api-piece'] })
	).json()) as { release: number };
	const live = async () =>
		(await (await call('GET', `/../../live/v1/${running().storeKey}/page?kind=product&id=cold-frame-60`)).json()) as {
			release: number;
			hooks: Record<string, { piece: string; html: string }[]>;
		};
	expect((await live()).hooks['above-buy']?.find((entry) => entry.piece === 'api-piece')?.html).toContain(
		'<strong>Cold frame 60</strong>'
	);
	expect((await call('POST', '/publish', { note: '', pieces: ['api-piece'] })).status()).toBe(409);

	expect((await call('DELETE', '/pieces/api-piece')).status()).toBe(204);
	expect(await (await call('GET', '/pieces/api-piece')).json()).toMatchObject({
		state: { publication: 'removed with the next release' }
	});
	await call('POST', '/publish', { note: 'away', pieces: ['api-piece'] });
	expect((await call('GET', '/pieces/api-piece')).status()).toBe(404);
	expect((await live()).hooks['above-buy']?.some((entry) => entry.piece === 'api-piece') ?? false).toBe(false);
	expect((await call('POST', `/releases/${release}/restore`, {})).status()).toBe(200);
	expect((await live()).hooks['above-buy']?.some((entry) => entry.piece === 'api-piece')).toBe(true);
	await call('POST', `/releases/${release - 1}/restore`, {});
});

test('bad input gets a precise problem document, and nothing is lost or run', async ({ call }) => {
	const cases: [string, string, unknown, number, string | undefined][] = [
		['PUT', '/pieces/bad', '{"kind": "message", ', 400, ''],
		['PUT', '/pieces/bad', [], 422, ''],
		['PUT', '/pieces/bad', message({ kind: 'film' }), 422, '/kind'],
		['PUT', '/pieces/bad', message({ colour: 'red' }), 422, ''],
		['PUT', '/pieces/bad', message({ name: 7 }), 422, '/name'],
		['PUT', '/pieces/bad', message({ note: 'a\0b' }), 422, '/note'],
		['PUT', '/pieces/bad', message({ body: { markdown: 'half \ud800' } }), 422, '/body/markdown'],
		['PUT', '/pieces/bad', message({ on: 'yes' }), 422, '/on'],
		['PUT', '/pieces/Bad%20Slug', message(), 422, ''],
		['PUT', '/pieces/bad', message({ body: { html: '<p>{product.nothing}</p>' } }), 422, '/body/html'],
		[
			'PUT',
			'/pieces/bad',
			message({ target: { all: [{ not: { field: 'tag', operator: 'is', value: 3 } }] } }),
			422,
			'/target/all/0/not/value'
		],
		[
			'PUT',
			'/pieces/bad',
			message({ settings: { tone: 'note', button: { label: 'x', href: 'javascript:alert(1)' } } }),
			422,
			'/settings/button/href'
		],
		[
			'POST',
			'/reach',
			{ target: JSON.parse('{"not":'.repeat(40) + '{"any":[]}' + '}'.repeat(40)) as unknown },
			422,
			'/target/not/not/not/not/not/not'
		],
		['POST', '/reach', '{"target":' + '['.repeat(100_000) + ']'.repeat(100_000) + '}', 422, ''],
		['POST', '/reach', { rule: {} }, 422, '/target'],
		['POST', '/explain', { piece: 'nothing', product: 'cold-frame-60' }, 404, '/piece'],
		['POST', '/explain', { piece: 'saving', product: 'nothing' }, 404, '/product'],
		['POST', '/publish', { note: 'x', pieces: ['nothing'] }, 404, '/pieces'],
		['POST', '/releases/9999/restore', {}, 404, undefined],
		['POST', '/releases/x/restore', {}, 422, ''],
		['PUT', '/house-tabs/description', { name: '', priority: 10 }, 422, '/name'],
		['PUT', '/house-tabs/description', { name: 'D', priority: 1000 }, 422, '/priority'],
		['PATCH', '/products/cold-frame-60', { price: '19.990' }, 422, '/price'],
		['GET', '/products?sort=colour', undefined, 422, '/sort'],
		['GET', '/pieces/nothing', undefined, 404, undefined],
		['GET', '/jobs/nothing', undefined, 404, undefined]
	];
	for (const [method, path, body, status, at] of cases) {
		const response = await call(method, path, body);
		const problem = (await response.json()) as { type: string; title: string; status: number; at?: string };
		expect([method, path, body, response.status(), problem.at]).toEqual([method, path, body, status, at]);
		expect(response.headers()['content-type']).toBe('application/problem+json');
		expect(problem.status).toBe(status);
		expect(problem.type).toMatch(/^urn:anbau:problem:/);
		expect(problem.title).toMatch(/\.$/);
	}
	expect((await call('GET', '/pieces/bad')).status()).toBe(404);
	expect(await (await call('GET', '/products/cold-frame-60')).json()).toMatchObject({ price: 8900 });
});

test('bodies that are too large are refused, and HTML in every text field stays text', async ({ call, desk: page }) => {
	const large = await call('PUT', '/pieces/large', message({ note: 'x'.repeat(5 * 1024 * 1024) }));
	expect(large.status()).toBe(413);
	expect(await large.json()).toMatchObject({ type: 'urn:anbau:problem:too-large' });

	const html = '<img src=x onerror="window.ran=1"><script>window.ran=1</script>';
	await call(
		'PUT',
		'/pieces/html',
		message({
			name: html,
			heading: html,
			note: html,
			body: { markdown: html.replace(/</g, '\\<') },
			settings: { button: { label: html, href: '/' } },
			placements: [{ hook: 'above-buy' }],
			target: { field: 'product', operator: 'in', value: ['html-product'] }
		})
	);
	await call(
		'PUT',
		'/catalog',
		JSON.stringify({
			key: 'html-product',
			title: html,
			summary: html,
			brand: html,
			tags: [html],
			categories: [`${html} x`],
			url: `${running().shopUrl}/products/cold-frame-60`,
			'attribute.size': html
		}),
		{ 'content-type': 'application/x-ndjson' }
	);
	for (const path of ['/library', '/library/html', '/catalog?q=html-product', '/catalog/html-product', '/releases']) {
		await page.goto(running().url + path);
		await page.waitForLoadState('networkidle');
		expect(await page.evaluate(() => (window as { ran?: number }).ran), path).toBeUndefined();
	}
	await page.goto(`${running().url}/library/html`);
	await expect(page.frameLocator('iframe').locator('[data-anbau-piece=html]')).toContainText(
		'<script>window.ran=1</script>'
	);
	await call('DELETE', '/pieces/html');
});

test('pieces for a group reach its members by the shop’s signed token, and no guest', async ({ call, request }) => {
	const { createHmac } = await import('node:crypto');
	const { url, storeKey, visitorSecret } = running();
	await call(
		'PUT',
		'/pieces/trade',
		message({
			audience: { groups: ['trade'] },
			target: { all: [] },
			placements: [{ hook: 'page-top' }],
			body: { markdown: 'Trade prices.' }
		})
	);
	await call('POST', '/publish', { note: '', pieces: ['trade'] });
	const part = (value: object) => Buffer.from(JSON.stringify(value)).toString('base64url');
	// RFC 7515, appendix A.1: HMAC SHA-256 over the two encoded parts; made here without the library that reads it.
	const sign = (claims: object, secret: string, alg = 'HS256') => {
		const input = `${part({ alg, typ: 'JWT' })}.${part(claims)}`;
		return `${input}.${alg === 'none' ? '' : createHmac('sha256', secret).update(input).digest('base64url')}`;
	};
	const now = Math.floor(Date.now() / 1000);
	const ask = async (token: string | null) => {
		const response = await request.get(`${url}/live/v1/${storeKey}/page?kind=product&id=cold-frame-60`, {
			headers: token ? { authorization: `Bearer ${token}` } : {}
		});
		return { shown: (await response.text()).includes('Trade prices.'), cache: response.headers()['cache-control'] };
	};
	const claims = { groups: ['trade'], exp: now + 60 };
	expect(await ask(sign(claims, visitorSecret))).toEqual({ shown: true, cache: 'private, no-store' });
	const guests = [
		null,
		sign(claims, 'another secret'),
		sign({ ...claims, exp: now - 10 }, visitorSecret),
		sign({ groups: ['trade'] }, visitorSecret),
		sign(claims, '', 'none'),
		sign({ ...claims, groups: ['others'] }, visitorSecret),
		'nonsense'
	];
	for (const token of guests) expect((await ask(token)).shown).toBe(false);
	await call('DELETE', '/pieces/trade');
	await call('POST', '/publish', { note: '', pieces: ['trade'] });
});
