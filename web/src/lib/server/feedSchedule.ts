import { isUnreachable } from './unreachable.js';
import { pullDue } from './work/feed.js';

/** How often it is looked whether a feed is due. */
const LOOK = 20_000;

let timer: ReturnType<typeof setTimeout> | undefined;

/** Pulls the feeds when they are due, one look after the other, for as long as the process runs. */
export function startFeedSchedule(): void {
	if (timer || !process.env.DATABASE_URL) return;
	const look = async () => {
		try {
			await pullDue(Date.now());
		} catch (error) {
			// With the database away there is nothing to pull into; the next look may find it again.
			if (!isUnreachable(error)) console.error('The feeds could not be looked at.', error);
		}
		schedule();
	};
	const schedule = () => {
		timer = setTimeout(() => void look(), LOOK);
		timer.unref();
	};
	schedule();
}
