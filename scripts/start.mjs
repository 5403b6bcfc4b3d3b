// @ts-check
import { Advice } from './lib/system.mjs';
import { startAll } from './lib/startAll.mjs';

try {
	const running = await startAll();
	console.log(running.block);
	const stop = async () => {
		console.log('Stopping …');
		await running.stop();
		process.exit(0);
	};
	process.once('SIGINT', stop);
	process.once('SIGTERM', stop);
} catch (error) {
	if (!(error instanceof Advice)) throw error;
	console.error(`\n${error.message}\n`);
	process.exit(1);
}
