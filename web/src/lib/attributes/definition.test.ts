import { afterEach, describe, expect, it } from 'vitest';
import { attributeSchema, type AttributeDefinition, type Conversion } from '@anbau/core/catalog';
import { answerRequests, type Asked } from '$lib/testing.js';
import { DefinitionDraft } from './definition.svelte.js';

const KNOWN: AttributeDefinition = { ...attributeSchema.parse({ label: 'Depth', type: 'text' }), code: 'depth' };
const NOTHING: Conversion = { changed: [], kept: 0, lost: [] };
let restore = () => undefined as void;
afterEach(() => restore());

function serve(plan: Conversion, put: { status?: number; body: unknown } = { body: {} }): Asked[] {
	const server = answerRequests(({ method }) => (method === 'POST' ? { body: plan } : put));
	restore = server.restore;
	return server.asked;
}

describe('a definition that is written', () => {
	it('makes its code from its label while it is new, and keeps it afterwards', () => {
		const fresh = new DefinitionDraft(null, '');
		fresh.set({ label: 'Days to harvest' });
		expect(fresh.value.code).toBe('days_to_harvest');
		const known = new DefinitionDraft(KNOWN, 'depth');
		known.set({ label: 'How deep' });
		expect(known.value.code).toBe('depth');
		expect(new DefinitionDraft(null, 'seed_count').value).toMatchObject({ code: 'seed_count', label: 'Seed count' });
	});

	it('that changes nothing there is saved at once', async () => {
		const asked = serve(NOTHING);
		expect(await new DefinitionDraft(null, 'depth').save()).toBe(true);
		expect(asked.map((one) => one.method)).toEqual(['POST', 'PUT']);
	});

	it('that converts or loses values shows them first, and clears them only when asked again', async () => {
		const plan: Conversion = { ...NOTHING, lost: [{ key: 'leek', from: 'deep', reason: 'is not a number' }] };
		const asked = serve(plan);
		const draft = new DefinitionDraft(KNOWN, 'depth');
		draft.set({ type: 'number' });
		expect([await draft.save(), draft.plan]).toEqual([false, plan]);
		expect(asked.map((one) => one.method)).toEqual(['POST']);
		expect(await draft.save()).toBe(true);
		expect(asked.at(-1)?.path).toBe('/api/v1/attributes/depth?drop=true');
		draft.set({ type: 'text' });
		expect(draft.plan).toBeNull();
	});

	it('says at each field what is wrong with it', async () => {
		serve(NOTHING, { status: 422, body: { title: 'No.', faults: [{ at: '/choices/1', message: 'stands twice' }] } });
		const draft = new DefinitionDraft(null, 'depth');
		expect([await draft.save(), draft.faults, draft.problem]).toEqual([false, { choices: 'stands twice' }, '']);
	});
});
