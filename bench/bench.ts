import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { database } from '../web/src/lib/server/db/pool.js';
import { benchBodies } from './bodies.js';
import { benchImport } from './import.js';
import type { Result } from './measure.js';
import { benchPage } from './page.js';
import { benchPlacing } from './placing.js';
import { benchReach } from './reach.js';
import { benchReviews } from './reviews.js';
import { benchScreens } from './screens.js';
import { benchScript } from './script.js';

const results: Result[] = [
	...benchScript(),
	...benchPage(),
	...benchPlacing(),
	...benchBodies(),
	...(await benchReach()),
	...(await benchImport()),
	...(await benchReviews()),
	...(await benchScreens())
];
const figure = (value: number | null, unit: string) =>
	value === null ? '—' : `${value >= 100 ? Math.round(value) : value.toPrecision(3)} ${unit}`;
console.table(
	Object.fromEntries(
		results.map(({ what, ours, reference, unit, ratio, goal, kept }) => [
			what,
			{
				ours: figure(ours, unit),
				reference: figure(reference, unit),
				ratio: ratio === null ? '—' : ratio.toPrecision(3),
				goal,
				kept: kept === null ? '—' : kept ? 'yes' : 'NO'
			}
		])
	)
);
writeFileSync(
	join(import.meta.dirname, 'results.json'),
	`${JSON.stringify({ at: new Date().toISOString(), node: process.version, results }, null, 2)}\n`
);
await database().end();
process.exit(0);
