import { Problem } from '../problem.js';

const MAX_PAGE = 5 * 1024 * 1024;

/** A page of the shop as a guest gets it; a problem says why it cannot be had. Only the shop's own address is asked. */
export async function fetchShopPage(address: string, storeUrl: string, type: 'html' | 'xml' = 'html'): Promise<string> {
	const away = (reason: string) => new Problem('shop-away', 502, `The shop’s page ${address} ${reason}.`);
	if (new URL(address).origin !== new URL(storeUrl).origin) throw away(`is not on the shop’s own address ${storeUrl}`);
	let response: Response;
	try {
		response = await fetch(address, {
			redirect: 'manual',
			signal: AbortSignal.timeout(5000),
			headers: { accept: type === 'html' ? 'text/html' : 'application/xml, text/xml', 'user-agent': 'Anbau preview' }
		});
	} catch (error) {
		throw away(
			error instanceof Error && error.name === 'TimeoutError' ? 'did not answer within 5 seconds' : 'cannot be reached'
		);
	}
	if (response.status >= 300 && response.status < 400)
		throw away(`sends on to ${response.headers.get('location') ?? 'another address'}`);
	if (!response.ok) throw away(`answers ${response.status}`);
	if (!response.headers.get('content-type')?.includes(type === 'html' ? 'text/html' : 'xml'))
		throw away(`is no ${type.toUpperCase()} page`);
	const text = await response.text();
	if (text.length > MAX_PAGE) throw away('is larger than 5 MB');
	return text;
}
