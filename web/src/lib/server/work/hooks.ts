import { hookById, hookIdSchema, HOOKS } from '@anbau/core/pieces';
import { hookTitle, themeHookSchema, type ThemeHook } from '@anbau/core/placement';
import { writeAudit } from '../db/audit.js';
import { allPieces } from '../db/pieces.js';
import { database, transaction, type Db } from '../db/pool.js';
import { allSightings, type Sighting } from '../db/sightings.js';
import { allHooks, allHouseParts, deleteHook, saveHook } from '../db/theme.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { checkSelector } from '../weave/selector.js';
import { withoutSaid } from '../withoutSaid.js';

/** A hook of a store, with what was last seen of it on the shop's pages. */
export interface HookView extends ThemeHook {
	/** Whether the owner added it. */
	own: boolean;
	sightings: Omit<Sighting, 'hook'>[];
}

export function listHooks(actor: Actor): Promise<HookView[]> {
	return hooksOfStore(actor.storeId);
}

/** The hooks of a store as they are drafted. */
export async function hooksOfStore(storeId: number): Promise<HookView[]> {
	const db = database();
	const kept = await allHooks(db, storeId);
	const sightings = await allSightings(db, storeId);
	const known = HOOKS.map(({ id, title, pages }): HookView => {
		const { binding = null, fallback = null } = kept.find((hook) => hook.id === id) ?? {};
		return { id, title, pages: [...pages], binding, fallback, own: false, sightings: [] };
	});
	const own = kept.filter(({ id }) => !hookById(id)).map((hook): HookView => ({ ...hook, own: true, sightings: [] }));
	return [...known, ...own].map((view) => ({
		...view,
		sightings: sightings.filter(({ hook }) => hook === view.id).map(({ hook: _, ...seen }) => seen)
	}));
}

export async function getHook(actor: Actor, id: string): Promise<HookView> {
	const view = (await listHooks(actor)).find((hook) => hook.id === id);
	if (!view) throw missing(id);
	return view;
}

/** Binds a hook to the theme, or adds one of the owner's own; pages change with the next release. */
export async function putHook(actor: Actor, id: string, input: unknown): Promise<HookView> {
	const goodId = readBy(hookIdSchema, id, 'The hook’s id');
	const { title, pages, binding, fallback } = readBy(
		themeHookSchema,
		withoutSaid(input, ['id', 'own', 'sightings']),
		'The hook'
	);
	const known = hookById(goodId);
	if (binding) checkSelector(binding.selector, '/binding/selector');
	if (!known && title === '') throw invalid('/title', 'must say where the hook is, as the end of “Hangs …”');
	if (!known && pages.length === 0) throw invalid('/pages', 'must name a kind of page at least');
	const hook: ThemeHook = known
		? { id: goodId, title: '', pages: [], binding, fallback }
		: { id: goodId, title, pages, binding, fallback };
	await transaction(async (client) => {
		const hooks = await allHooks(client, actor.storeId);
		checkFallback(hook, hooks);
		const before = hooks.find((one) => one.id === goodId) ?? null;
		await saveHook(client, actor.storeId, hook);
		await writeAudit(client, actor, before ? 'save' : 'create', `hook ${goodId}`, before, hook);
	});
	return getHook(actor, goodId);
}

/** What falls back must end somewhere. */
function checkFallback(hook: ThemeHook, hooks: readonly ThemeHook[]): void {
	const fallbackOf = (id: string) => (id === hook.id ? hook : hooks.find((one) => one.id === id))?.fallback ?? null;
	const passed = new Set([hook.id]);
	for (let id = hook.fallback; id !== null; id = fallbackOf(id)) {
		if (!hookById(id) && !hooks.some((one) => one.id === id)) throw invalid('/fallback', `“${id}” is not a hook`);
		if (passed.has(id)) throw invalid('/fallback', 'falls back on itself in the end');
		passed.add(id);
	}
}

/** Takes a binding, or a hook of the owner's own, away. A hook on which something hangs stays. */
export async function removeHook(actor: Actor, id: string): Promise<void> {
	await transaction(async (client) => {
		const hooks = await allHooks(client, actor.storeId);
		const before = hooks.find((one) => one.id === id);
		if (!before) throw missing(id);
		if (!hookById(id)) await refuseInUse(client, actor, before, hooks);
		await deleteHook(client, actor.storeId, id);
		await writeAudit(client, actor, 'delete', `hook ${id}`, before);
	});
}

async function refuseInUse(db: Db, actor: Actor, { id }: ThemeHook, hooks: readonly ThemeHook[]): Promise<void> {
	const pieces = (await allPieces(db, actor.storeId))
		.filter(({ doc, removed }) => !removed && doc.placements.some(({ hook }) => hook === id))
		.map(({ doc }) => `“${doc.name}”`);
	const parts = (await allHouseParts(db, actor.storeId))
		.filter(({ hook }) => hook === id)
		.map(({ name }) => `“${name}”`);
	const fallbacks = hooks.filter(({ fallback }) => fallback === id).map((hook) => hookTitle(hook.id, hooks));
	const users = [...pieces, ...parts, ...fallbacks];
	if (users.length === 0) return;
	const some = users.slice(0, 5).join(', ');
	const more = users.length > 5 ? ` and ${users.length - 5} more` : '';
	throw new Problem('in-use', 409, `${some}${more} hang here. Hang them elsewhere first.`, [], {
		pieces: pieces.length
	});
}

function invalid(at: string, message: string): Problem {
	return new Problem('invalid', 422, 'The hook cannot be taken as it is.', [{ at, message }]);
}

function missing(id: string): Problem {
	return new Problem('not-found', 404, `There is no hook “${id}”.`);
}
