// @ts-check
import { createServer } from 'node:http';
import { handler } from './build/handler.js';

/** The application's server: the built handler, told to end with whoever started it. */
const server = createServer(handler);
server.listen(Number(process.env.PORT ?? 4310), process.env.HOST ?? '127.0.0.1', () => process.send?.('ready'));

function stop() {
	server.close(() => process.exit(0));
	server.closeIdleConnections();
	setTimeout(() => process.exit(0), 2000).unref();
}
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
process.once('disconnect', stop);
