/** Schemes a link may have. */
const LINK_SCHEMES = ['http', 'https', 'mailto', 'tel'];

/**
 * Why an address must not be linked to; null when it may be: `http`, `https`, `mailto` and `tel`, and addresses
 * relative to the page. White space and control characters are ignored as a browser ignores them (WHATWG URL
 * Standard, section 4.4, basic URL parser).
 */
export function hrefFault(address: string): string | null {
	if (address.trim() === '') return 'is an empty address';
	const scheme = schemeOf(address);
	if (scheme === null || LINK_SCHEMES.includes(scheme)) return null;
	return `“${scheme}:” addresses are not allowed; use ${LINK_SCHEMES.map((one) => `${one}:`).join(', ')} or a path`;
}

/** Why an address must not be a picture's source; null when it may be: `http`, `https` and relative ones. */
export function srcFault(address: string): string | null {
	if (address.trim() === '') return 'is an empty address';
	const scheme = schemeOf(address);
	return scheme === null || scheme === 'http' || scheme === 'https'
		? null
		: `“${scheme}:” pictures are not allowed; use http: or https:`;
}

function schemeOf(address: string): string | null {
	// White space and control characters hide a scheme from a reader, not from a browser.
	const bare = address.replace(/[\p{Cc}\s]+/gu, '');
	const scheme = /^([^/?#:]*):/.exec(bare);
	return scheme ? (scheme[1] ?? '').toLowerCase() : null;
}
