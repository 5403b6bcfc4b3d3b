import type { Db } from './pool.js';
import type { Actor } from './users.js';

/** Writes down who did what; `before` and `after` are documents, so that nothing overwritten is lost. */
export async function writeAudit(
	db: Db,
	actor: Actor,
	action: string,
	subject: string,
	before: unknown = null,
	after: unknown = null
): Promise<void> {
	await db.query('INSERT INTO audit (store_id, who, action, subject, before, after) VALUES ($1, $2, $3, $4, $5, $6)', [
		actor.storeId,
		actor.name,
		action,
		subject,
		before === null ? null : JSON.stringify(before),
		after === null ? null : JSON.stringify(after)
	]);
}
