// @ts-check
import { rm } from 'node:fs/promises';
import { build } from 'esbuild';

/** Builds the storefront's scripts and style: one classic script to include, one module loaded only when needed. */
await rm(new URL('dist', import.meta.url), { recursive: true, force: true });
/** @type {import('esbuild').BuildOptions} */
const shared = {
	bundle: true,
	minify: true,
	target: ['es2022'],
	charset: 'utf8',
	legalComments: 'none',
	absWorkingDir: import.meta.dirname,
	outdir: 'dist'
};
await build({ ...shared, entryPoints: { anbau: 'src/anbau.ts', 'anbau-preview': 'src/preview.ts' }, format: 'iife' });
await build({
	...shared,
	entryPoints: {
		'anbau-tabs': 'src/placeTabs.ts',
		'anbau-bound': 'src/bound.ts',
		'anbau-woven': 'src/woven.ts',
		'anbau-opening': 'src/opening.ts',
		'anbau-values': 'src/values.ts',
		'anbau-places': 'src/places.ts',
		'anbau-strips': 'src/strips.ts',
		'anbau-owner': 'src/owner.ts'
	},
	format: 'esm'
});
await build({ ...shared, entryPoints: { anbau: 'src/anbau.css' } });
