// @ts-check
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { run } from './system.mjs';

export const ROOT = new URL('../..', import.meta.url).pathname.replace(/\/$/, '');

/** Installs the packages that the lock file names, unless they are there. */
export function ensurePackages() {
	const lock = readFileSync(join(ROOT, 'package-lock.json'));
	const wanted = createHash('sha256').update(lock).digest('hex');
	const mark = join(ROOT, 'node_modules', '.anbau-installed');
	if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return;
	console.log('Installing packages …');
	run('npm', ['ci', '--include=dev', '--no-fund', '--no-audit'], 'npm ci');
	writeFileSync(mark, wanted);
}

/** Builds the storefront's script and the application, unless nothing changed since the last build. */
export function ensureBuild() {
	const wanted = fingerprint([
		'core',
		'embed/src',
		'embed/build.mjs',
		'web/src',
		'web/static',
		'web/vite.config.ts',
		'web/svelte.config.js',
		'package-lock.json'
	]);
	const mark = join(ROOT, 'web', 'build', '.anbau-built');
	if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return;
	console.log('Building …');
	run('npm', ['run', 'build'], 'The build');
	mkdirSync(join(ROOT, 'web', 'build'), { recursive: true });
	writeFileSync(mark, wanted);
}

/** @param {string[]} paths */
function fingerprint(paths) {
	const hash = createHash('sha256');
	/** @param {string} path */
	const add = (path) => {
		if (statSync(path).isDirectory()) {
			for (const name of readdirSync(path).sort()) if (name !== 'node_modules') add(join(path, name));
		} else hash.update(path).update(readFileSync(path));
	};
	for (const path of paths) add(join(ROOT, path));
	return hash.digest('hex');
}
