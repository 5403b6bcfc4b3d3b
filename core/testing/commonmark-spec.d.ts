declare module 'commonmark-spec' {
	const spec: { text: string; tests: { markdown: string; html: string; section: string; number: number }[] };
	export default spec;
}
