/** The arrows between the workspaces: an arrow only ever points down. */
export default {
	forbidden: [
		{
			name: 'core-imports-nothing',
			comment: 'The core computes; it knows no other workspace and no Node API.',
			severity: 'error',
			from: { path: '^core/', pathNot: '\\.test\\.ts$|^core/testing/' },
			to: { path: '^(web|embed|standins|demo|bench|e2e)/' }
		},
		{
			name: 'core-without-node',
			severity: 'error',
			from: { path: '^core/', pathNot: '\\.test\\.ts$|^core/testing/' },
			to: { dependencyTypes: ['core'] }
		},
		{
			name: 'embed-knows-core-types-only',
			comment: 'The script stays small; what it shares with the weave is one file of plain functions.',
			severity: 'error',
			from: { path: '^embed/src' },
			to: { path: '^core/', pathNot: '^core/placement/onPage\\.ts$', dependencyTypesNot: ['type-only'] }
		},
		{
			name: 'embed-below-web',
			severity: 'error',
			from: { path: '^embed/' },
			to: { path: '^(web|standins|demo|bench|e2e)/' }
		},
		{
			name: 'standins-below-web',
			severity: 'error',
			from: { path: '^standins/' },
			to: { path: '^(web|embed|bench|e2e)/' }
		},
		{
			name: 'demo-below-standins',
			severity: 'error',
			from: { path: '^demo/' },
			to: { path: '^(web|embed|standins|bench|e2e)/' }
		},
		{
			name: 'routes-without-sql',
			comment: 'A route is thin: it calls work, and work calls the database modules.',
			severity: 'error',
			from: { path: '^web/src/routes' },
			to: { path: '^web/src/lib/server/db/' }
		},
		{
			name: 'screens-without-server',
			severity: 'error',
			from: { path: '^web/src/lib/(?!server)' },
			to: { path: '^web/src/lib/server', dependencyTypesNot: ['type-only'] }
		},
		{
			name: 'sql-in-db-only',
			severity: 'error',
			from: { path: '^web/src', pathNot: '^web/src/lib/server/db/' },
			to: { path: 'node_modules/pg/' }
		},
		{
			name: 'no-circles',
			severity: 'error',
			from: {},
			to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }
		}
	],
	options: {
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'tsconfig.base.json' },
		doNotFollow: { path: 'node_modules' },
		exclude: { path: '\\.svelte-kit|/build/|/dist/' },
		enhancedResolveOptions: {
			extensions: ['.ts', '.js', '.mjs', '.svelte', '.d.ts'],
			exportsFields: ['exports'],
			conditionNames: ['import', 'types']
		}
	}
};
