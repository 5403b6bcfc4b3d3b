import { test as base, expect, type APIResponse, type Page } from '@playwright/test';

interface Running {
	url: string;
	shopUrl: string;
	mediaUrl: string;
	storeKey: string;
	apiKey: string;
	visitorSecret: string;
	email: string;
	password: string;
}

/** What runs: its addresses and the demo's credentials. */
export function running(): Running {
	return JSON.parse(process.env.RUNNING ?? '{}') as Running;
}

/** Calls the owner's API with its key. */
export type Call = (
	method: string,
	path: string,
	body?: unknown,
	headers?: Record<string, string>
) => Promise<APIResponse>;

export const test = base.extend<{ desk: Page; call: Call }>({
	/** A page that is signed in as the demo's owner. */
	desk: async ({ page }, use) => {
		await page.goto(`${running().url}/sign-in`);
		await page.getByRole('button', { name: 'Sign in as the demo owner' }).click();
		await page.waitForURL('**/library');
		await use(page);
	},
	call: async ({ request }, use) => {
		const { url, apiKey } = running();
		await use((method, path, body, headers = {}) =>
			request.fetch(`${url}/api/v1${path}`, {
				method,
				headers: { authorization: `Bearer ${apiKey}`, 'content-type': 'application/json', ...headers },
				...(body === undefined ? {} : { data: Buffer.from(typeof body === 'string' ? body : JSON.stringify(body)) })
			})
		);
	}
});

export { expect };

/** The address of a product's page in the shop. */
export function shopPage(key: string): string {
	return `${running().shopUrl}/products/${key}`;
}
