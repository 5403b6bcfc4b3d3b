// @ts-check
import { startAll } from './lib/startAll.mjs';
import { Advice } from './lib/system.mjs';

/** Takes down whatever runs so far; known as soon as anything does. */
let stopSoFar = async () => {};

async function stop() {
	console.log('Stopping …');
	await stopSoFar();
	process.exit(0);
}
// Before anything is said, so that whoever hears that it runs can stop it.
process.once('SIGINT', stop);
process.once('SIGTERM', stop);

try {
	const running = await startAll((stopAll) => (stopSoFar = stopAll));
	console.log(running.block);
} catch (error) {
	if (!(error instanceof Advice)) throw error;
	console.error(`\n${error.message}\n`);
	process.exit(1);
}
