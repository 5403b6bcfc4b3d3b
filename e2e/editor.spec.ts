import type { Page } from '@playwright/test';
import { expect, running, test } from './running.js';

/** Pastes into what has the focus, as another program would have copied it. */
const paste = (page: Page, data: Record<string, string>) =>
	page.evaluate((given) => {
		const clipboardData = new DataTransfer();
		for (const [type, text] of Object.entries(given)) clipboardData.setData(type, text);
		document.activeElement?.dispatchEvent(
			new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true })
		);
	}, data);

interface Document {
	version: number;
	name: string;
	body: { content: { type: string; attrs?: Record<string, unknown> }[] };
	style: object;
	settings: object;
}

test('parts are put in by /, moved, copied and filled in, and shown on the page beside', async ({
	desk: page,
	call
}) => {
	await page.getByRole('button', { name: 'New message' }).click();
	await page.getByRole('button', { name: /^Empty/ }).click();
	await page.waitForURL('**/library/new-message*');
	const slug = page.url().split('/').at(-1) ?? '';
	const document = async () => (await (await call('GET', `/pieces/${slug}`)).json()) as Document;
	const types = async () => (await document()).body.content.map((part) => part.type);
	const editor = page.getByLabel('What the message says');
	const saved = page.getByTestId('saved');
	await editor.click();
	await page.keyboard.type('First.');
	await page.keyboard.press('Enter');
	await page.keyboard.type('/attr');
	await expect(page.getByRole('listbox', { name: 'Parts to put in' })).toBeVisible();
	await page.keyboard.press('Enter');
	await page.getByRole('button', { name: 'Choose attributes' }).click();
	await page.getByRole('combobox', { name: 'Search attributes' }).fill('material');
	await page.keyboard.press('Enter');
	await page.keyboard.press('Escape');
	await expect.poll(types).toEqual(['paragraph', 'attributeTable']);
	expect((await document()).body.content[1]?.attrs).toEqual({ codes: ['material'] });
	await page.getByRole('button', { name: 'Move the part up' }).click();
	await expect.poll(types).toEqual(['attributeTable', 'paragraph']);
	await page.getByRole('button', { name: 'Duplicate the part' }).click();
	await expect.poll(types).toEqual(['attributeTable', 'attributeTable', 'paragraph']);
	await page.getByRole('button', { name: 'Remove the part' }).click();
	await expect.poll(types).toEqual(['attributeTable', 'paragraph']);
	await editor.getByText('First.').click();
	await page.keyboard.press('Alt+ArrowUp');
	await expect.poll(types).toEqual(['paragraph', 'attributeTable']);
	await page.keyboard.press('Control+z');
	await expect.poll(types).toEqual(['attributeTable', 'paragraph']);
	await page.getByRole('button', { name: 'Put in a part' }).click();
	await page.getByRole('option', { name: 'Columns', exact: true }).click();
	await expect.poll(types).toContain('columns');
	await expect(saved).toHaveText(/^saved/);
	await call('DELETE', `/pieces/${slug}`);
});

test('what a word processor or Markdown brings comes in clean', async ({ desk: page, call }) => {
	const made = { kind: 'message', name: 'Pasted', body: { markdown: '' } };
	await call('PUT', '/pieces/pasted', made);
	await page.goto(`${running().url}/library/pasted`);
	const types = async () =>
		((await (await call('GET', '/pieces/pasted')).json()) as Document).body.content.map((part) => part.type);
	const editor = page.getByLabel('What the message says');
	await editor.click();
	await paste(page, {
		'text/html':
			'<html><head><style>p{color:red}</style></head><body><h1 style="mso-x:y">Care</h1><p class="MsoListParagraph"><span style="mso-list:Ignore">·</span>oil it</p><p class="MsoListParagraph">leave it</p><table><tr><td>a<o:p></o:p></td><td>b</td></tr></table><script>alert(1)</script></body></html>'
	});
	await expect.poll(types).toEqual(['heading', 'bulletList', 'table']);
	await editor.press('Control+a');
	await page.keyboard.press('Delete');
	await paste(page, { 'text/plain': '## Steps\n\n1. **Rake**\n2. Sow\n\n> quoted\n\n---\n\nEnd {not a value}' });
	await expect.poll(types).toEqual(['heading', 'orderedList', 'blockquote', 'horizontalRule', 'paragraph']);
	const cells = Array.from({ length: 100 }, () => `<tr>${'<td>x</td>'.repeat(100)}</tr>`).join('');
	await paste(page, { 'text/html': `<table>${cells}</table>` });
	await expect(page.getByText(/Not pasted: .*10000 cells/)).toBeVisible();
	await expect(editor).toContainText('quoted');
	await call('DELETE', '/pieces/pasted');
});

test('a part is dragged to another place by its handle', async ({ desk: page, call }) => {
	await call('PUT', '/pieces/dragged', { kind: 'message', name: 'Dragged', body: { markdown: 'One\n\nTwo\n\nThree' } });
	await page.goto(`${running().url}/library/dragged`);
	const editor = page.getByLabel('What the message says');
	await editor.getByText('Three').hover();
	await page.locator('.drag-handle').hover();
	const to = await editor.getByText('One').boundingBox();
	await page.mouse.down();
	await page.mouse.move(to?.x ?? 0, (to?.y ?? 0) + 20, { steps: 10 });
	await page.mouse.move((to?.x ?? 0) + 4, (to?.y ?? 0) + 2, { steps: 10 });
	await page.mouse.up();
	await expect(editor.locator('p')).toHaveText(['Three', 'One', 'Two']);
	await call('DELETE', '/pieces/dragged');
});

test('the editor says where a piece stays away, and a click looks at such a product', async ({ desk: page }) => {
	await page.goto(`${running().url}/library/documents`);
	const line = page.getByRole('button', { name: 'Where it stays away' });
	await expect(line).toHaveText(/^Stays away on 21\d products$/);
	await line.click();
	await expect(page.getByText('Attribute · Manuals', { exact: false })).toBeVisible();
	await page.getByRole('button', { name: 'Apple ‘Copperleaf’' }).first().click();
	await expect(page.getByTitle('Apple ‘Copperleaf’')).toBeVisible();
	await expect(page.getByText('nothing is left of it without')).toBeVisible();
});

test('a look that is hard to read is said, and a piece is kept as a starter', async ({ desk: page, call }) => {
	await page.goto(`${running().url}/library/bee-friendly`);
	await page.getByRole('button', { name: 'Look of this piece' }).click();
	const set = async (name: string, colour: string) => {
		await page.getByLabel(name, { exact: true }).first().click();
		await page.getByLabel(name, { exact: true }).first().fill(colour);
	};
	await set('Ground', '#888888');
	await set('Text', '#777777');
	await expect(page.getByText(/Text #777777 on #888888 has a contrast of 1.3 : 1/)).toBeVisible();
	await set('Text', '#000000');
	await expect(page.getByText('has a contrast of')).toHaveCount(0);
	await page.keyboard.press('Escape');
	await page.keyboard.press('Control+z');

	await page.goto(`${running().url}/library`);
	await page.getByLabel('More for Peat-free promise').click();
	await page.getByRole('menuitem', { name: 'Keep as a starter' }).click();
	await page.getByRole('button', { name: 'New message' }).click();
	await page
		.getByRole('dialog')
		.getByRole('button', { name: /^Peat-free promise/ })
		.click();
	await page.waitForURL('**/library/peat-free-promise-2');
	await expect(page.getByLabel('What the message says')).toContainText('Peat-free, as everything we mix ourselves.');
	await expect(page.getByRole('button', { name: 'Choose where it hangs' })).toBeVisible();
	await call('DELETE', '/pieces/peat-free-promise-2');
	await call('DELETE', '/starters/peat-free-promise');
	await call('POST', '/publish', {});
});

test('deleting says what it takes from which pages, and can be undone', async ({ desk: page }) => {
	await page.goto(`${running().url}/library`);
	await page.getByLabel('More for Greenhouse questions').click();
	await page.getByRole('menuitem', { name: 'Delete' }).click();
	await expect(
		page.getByText(/“Greenhouse questions” goes from 8 pages \(below the tabs\) with the next release/)
	).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByLabel('Greenhouse questions is on')).toBeChecked();
});
