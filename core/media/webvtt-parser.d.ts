declare module 'webvtt-parser' {
	interface Parsed {
		cues: { startTime: number; endTime: number; text: string }[];
		errors: { message: string; line: number; col?: number }[];
	}
	const webvtt: {
		WebVTTParser: new () => { parse(text: string, mode: 'captions' | 'metadata' | 'chapters'): Parsed };
	};
	export default webvtt;
}
