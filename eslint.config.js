import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './web/svelte.config.js';

export default ts.config(
	{ ignores: ['**/node_modules/', '**/.svelte-kit/', '**/build/', '**/dist/', '.anbau/', 'test-results/'] },
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		rules: {
			'no-undef': 'off',
			'@typescript-eslint/no-explicit-any': 'error',
			'@typescript-eslint/no-non-null-assertion': 'error',
			'@typescript-eslint/triple-slash-reference': ['error', { path: 'always', lib: 'always' }],
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
			'svelte/no-navigation-without-resolve': 'off',
			'max-lines': ['error', { max: 300, skipBlankLines: false, skipComments: false }],
			'max-lines-per-function': ['error', { max: 45, skipBlankLines: true, skipComments: true }],
			eqeqeq: 'error',
			'no-console': ['error', { allow: ['warn', 'error'] }]
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig } },
		rules: {
			'max-lines': ['error', { max: 200 }],
			'max-lines-per-function': 'off',
			'svelte/prefer-svelte-reactivity': 'off'
		}
	},
	{
		files: ['**/*.test.ts', 'e2e/**', 'bench/**', 'scripts/**', 'core/testing/**'],
		rules: { 'max-lines-per-function': 'off', 'no-console': 'off' }
	}
);
