import type { Actor } from '$lib/server/db/users.js';

declare global {
	namespace App {
		interface Locals {
			/** Who makes the request; null for nobody. */
			actor: Actor | null;
		}
		interface Error {
			message: string;
		}
	}
}
