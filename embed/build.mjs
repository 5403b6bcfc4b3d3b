// @ts-check
import { rm } from 'node:fs/promises';
import { build } from 'esbuild';
import { minify } from 'terser';
import { readFile, writeFile } from 'node:fs/promises';

/** Builds the storefront's scripts and style: one classic script to include, modules loaded only when needed. */
const dist = new URL('dist/', import.meta.url);
await rm(dist, { recursive: true, force: true });
/** @type {import('esbuild').BuildOptions} */
const shared = {
	bundle: true,
	minifySyntax: true,
	target: ['es2022'],
	charset: 'utf8',
	legalComments: 'none',
	absWorkingDir: import.meta.dirname,
	outdir: 'dist',
	// Names of our own that appear in no document, message or attribute, alike in all scripts.
	mangleProps:
		/^(finder|holder|isLost|hold|isAccordion|openNamed|openFirst|takeApart|restores|isBound|controls|pairs|nodesOf|container|home|panel|button|wrap|root|nodes|undo|lacking|element|standing|slot|prepare|soldOut|placed|giveBack|found|asked|recall|keep)$/,
	mangleCache: {}
};
const scripts = { anbau: 'src/anbau.ts', 'anbau-preview': 'src/preview.ts' };
const modules = {
	'anbau-tabs': 'src/placeTabs.ts',
	'anbau-opening': 'src/opening.ts',
	'anbau-values': 'src/values.ts',
	'anbau-theme': 'src/theme.ts',
	'anbau-parts': 'src/parts.ts',
	'anbau-owner': 'src/owner/owner.ts'
};
const { mangleCache } = await build({ ...shared, entryPoints: scripts, format: 'iife' });
await build({ ...shared, ...(mangleCache && { mangleCache }), entryPoints: modules, format: 'esm' });
await build({ ...shared, entryPoints: { anbau: 'src/anbau.css' }, minify: true });
// Terser leaves less than esbuild's own minifier does, which counts on a page that a shopper waits for.
for (const name of Object.keys({ ...scripts, ...modules })) await shrink(name, name in modules);

/** @param {string} name @param {boolean} isModule */
async function shrink(name, isModule) {
	const file = new URL(`${name}.js`, dist);
	const { code } = await minify(await readFile(file, 'utf8'), {
		module: isModule,
		ecma: 2020,
		compress: { passes: 4, unsafe_arrows: true, unsafe_methods: true, pure_getters: true, unsafe: true, inline: 1 },
		format: { comments: false }
	});
	if (code === undefined) throw new Error(`${name}.js came out of the minifier as nothing`);
	await writeFile(file, code);
}
