import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	test: {
		projects: [
			{ test: { name: 'core', include: ['core/**/*.test.ts', 'embed/**/*.test.ts', 'standins/**/*.test.ts'] } },
			{
				// What the screens know, without a page: modules with runes are compiled as they are for the browser.
				plugins: [svelte({ configFile: false })],
				resolve: { alias: { $lib: `${import.meta.dirname}/web/src/lib` }, conditions: ['browser'] },
				test: {
					name: 'screens',
					include: ['web/src/lib/{reach,workbench,library,editor,attributes}/**/*.test.ts']
				}
			},
			{
				test: {
					name: 'server',
					include: ['web/src/lib/server/**/*.test.ts'],
					globalSetup: ['scripts/lib/testDatabase.mjs'],
					fileParallelism: false,
					testTimeout: 60_000,
					hookTimeout: 60_000
				}
			}
		]
	}
});
