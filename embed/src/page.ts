/** Adds the style of the pieces and waits until it is there, at most a second. */
export function loadStyle(base: string): Promise<void> {
	const href = `${base}anbau.css`;
	if (document.querySelector(`link[href="${href}"]`)) return Promise.resolve();
	return new Promise((resolve) => {
		const link = Object.assign(document.createElement('link'), {
			rel: 'stylesheet',
			href,
			onload: resolve,
			onerror: resolve
		});
		setTimeout(resolve, 1000);
		document.head.append(link);
	});
}

/** Says in the console which line the page's content security policy lacks for Anbau's own address. */
export function warnOfPolicy(origin: string): void {
	addEventListener('securitypolicyviolation', ({ blockedURI, effectiveDirective }) => {
		if (!blockedURI.startsWith(origin)) return;
		console.warn(`Anbau: Content-Security-Policy lacks ${effectiveDirective} ${origin}`);
	});
}

interface TrustedTypes {
	createPolicy(name: string, rules: { createHTML: (html: string) => string }): { createHTML(html: string): string };
}

let policy: { createHTML(html: string): string } | undefined;

/** HTML that the server rendered, as nodes. Works where the page demands Trusted Types and allows the policy `anbau`. */
export function nodesOf(html: string): DocumentFragment {
	const { trustedTypes } = window as { trustedTypes?: TrustedTypes };
	policy ??= trustedTypes?.createPolicy('anbau', { createHTML: (text) => text });
	const template = document.createElement('template');
	template.innerHTML = policy ? policy.createHTML(html) : html;
	return template.content;
}
