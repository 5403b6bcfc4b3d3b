import { defineConfig } from '@playwright/test';

export default defineConfig({
	testDir: '.',
	globalSetup: './start.ts',
	outputDir: '../test-results',
	workers: 1,
	fullyParallel: false,
	timeout: 60_000,
	reporter: process.env.E2E_JSON ? [['list'], ['json', { outputFile: process.env.E2E_JSON }]] : [['list']],
	use: {
		viewport: { width: 1280, height: 800 },
		launchOptions: {
			executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync',
				'--no-first-run'
			]
		}
	}
});
