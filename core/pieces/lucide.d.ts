declare module 'lucide/dist/esm/icons/*.mjs' {
	const shapes: [name: string, attributes: Record<string, string>][];
	export default shapes;
}
