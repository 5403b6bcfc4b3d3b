import { z } from 'zod';
import { sanitizeSvg, slugSchema } from '@anbau/core/pieces';
import { writeAudit } from '../db/audit.js';
import { allIcons, deleteIcon, insertIcon } from '../db/icons.js';
import { tell } from '../db/notify.js';
import { allPieces } from '../db/pieces.js';
import { database, transaction } from '../db/pool.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';

/** An icon of the owner's own. */
export interface OwnIcon {
	slug: string;
	svg: string;
}

export async function listIcons(actor: Actor): Promise<OwnIcon[]> {
	return [...(await allIcons(database(), actor.storeId))].map(([slug, svg]) => ({ slug, svg }));
}

export const iconInputSchema = z.strictObject({ svg: z.string() });

/** Adds an icon, cleaned; one that is there is not overwritten, since pieces may show it. */
export async function putIcon(actor: Actor, slug: string, input: unknown): Promise<OwnIcon> {
	const goodSlug = readBy(slugSchema, slug, 'The slug');
	const { svg } = readBy(iconInputSchema, input, 'The icon');
	const clean = cleaned(svg);
	await transaction(async (client) => {
		if (!(await insertIcon(client, actor.storeId, goodSlug, clean)))
			throw new Problem('exists', 412, `There is already an icon called “${goodSlug}”; give this one another name.`);
		await writeAudit(client, actor, 'create', `icon ${goodSlug}`);
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'release' });
	});
	await storeStates.reloadRelease(actor.storeId);
	return { slug: goodSlug, svg: clean };
}

function cleaned(svg: string): string {
	try {
		return sanitizeSvg(svg);
	} catch (error) {
		const message = error instanceof Error ? error.message : String(error);
		throw new Problem('invalid', 422, `This drawing ${message}.`, [{ at: '/svg', message }]);
	}
}

/** Takes an icon away, unless a piece shows it. */
export async function removeIcon(actor: Actor, slug: string): Promise<void> {
	const used = (await allPieces(database(), actor.storeId)).filter(({ doc }) =>
		JSON.stringify(doc).includes(`"own:${slug}"`)
	);
	if (used.length > 0) {
		const names = used.map(({ doc }) => `“${doc.name}”`).join(', ');
		throw new Problem('in-use', 409, `The icon is shown by ${names}.`);
	}
	await transaction(async (client) => {
		if (!(await deleteIcon(client, actor.storeId, slug)))
			throw new Problem('not-found', 404, `There is no icon called “${slug}”.`);
		await writeAudit(client, actor, 'delete', `icon ${slug}`);
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'release' });
	});
	await storeStates.reloadRelease(actor.storeId);
}
