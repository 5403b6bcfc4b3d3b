/// <reference lib="webworker" />
import type { PackedCatalog } from '@anbau/core/rules';
import { CatalogAnswers } from './answers.js';
import type { Answered, Asked } from './protocol.js';

let answers: Promise<{ version: string; total: number; of: CatalogAnswers }> | null = null;

async function load(): Promise<{ version: string; total: number; of: CatalogAnswers }> {
	const response = await fetch('/api/v1/catalog/index');
	if (!response.ok) throw new Error(`The catalogue could not be read (${response.status}).`);
	const packed = (await response.json()) as PackedCatalog;
	return { version: packed.version, total: packed.keys.length, of: CatalogAnswers.of(packed) };
}

async function answer({ name, ask }: Asked): Promise<unknown> {
	if (name === 'load' || !answers) answers = load();
	const { version, total, of } = await answers;
	if (name === 'load') return { version, total };
	const handler = of.handlers[name] as (input: unknown) => unknown;
	return handler(ask);
}

self.onmessage = async ({ data }: MessageEvent<Asked>) => {
	let reply: Answered;
	try {
		reply = { id: data.id, ok: true, answer: await answer(data) };
	} catch (error) {
		answers = null;
		reply = { id: data.id, ok: false, message: error instanceof Error ? error.message : String(error) };
	}
	self.postMessage(reply);
};
