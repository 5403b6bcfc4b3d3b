import { defineConfig } from 'vitest/config';

export default defineConfig({
	test: {
		projects: [
			{
				test: {
					name: 'core',
					include: [
						'core/**/*.test.ts',
						'embed/**/*.test.ts',
						'standins/**/*.test.ts',
						'web/src/lib/{reach,workbench,library,editor,attributes}/**/*.test.ts'
					]
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
