import pg from 'pg';
import { z } from 'zod';
import type { Db } from './pool.js';

const CHANNEL = 'anbau';

const newsSchema = z.object({
	process: z.string(),
	store: z.number(),
	what: z.enum(['catalog', 'release', 'reviews'])
});

/** What one process tells the others: of which store they must read what anew. */
export type News = z.infer<typeof newsSchema>;

/** Tells every process, at the end of the transaction when there is one. */
export async function tell(db: Db, news: News): Promise<void> {
	await db.query('SELECT pg_notify($1, $2)', [CHANNEL, JSON.stringify(news)]);
}

/**
 * Listens for news on a connection of its own and goes on after the connection breaks, waiting up to 5 s between
 * tries. `onReconnect` runs whenever news may have been missed.
 */
export function listen(
	connectionString: string,
	onNews: (news: News) => void,
	onReconnect: () => void
): { stop: () => void } {
	let stopped = false;
	let client: pg.Client | undefined;
	const connect = async (pause: number): Promise<void> => {
		if (stopped) return;
		const fresh = new pg.Client({ connectionString, connectionTimeoutMillis: 3000 });
		client = fresh;
		let lost = false;
		const again = () => {
			if (lost || stopped) return;
			lost = true;
			setTimeout(() => void connect(Math.min(pause * 2, 5000)), pause).unref();
		};
		fresh.on('error', again);
		fresh.on('end', again);
		fresh.on('notification', ({ payload }) => onNews(newsSchema.parse(JSON.parse(payload ?? 'null'))));
		try {
			await fresh.connect();
			await fresh.query(`LISTEN ${CHANNEL}`);
			pause = 250;
			onReconnect();
		} catch {
			again();
		}
	};
	void connect(250);
	return {
		stop: () => {
			stopped = true;
			void client?.end();
		}
	};
}
