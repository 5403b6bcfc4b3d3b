import type { CaptionFacts, FilmFacts, MediaFacts, PictureFacts } from './facts.js';

/** How bad a finding is: it will not play, it plays or loads worse than it could, or all is well. */
export type Level = 'bad' | 'warning' | 'good';

/** Something found in an uploaded file, and what to do about it. */
export interface Finding {
	level: Level;
	text: string;
	advice: string;
}

const MB = 1024 * 1024;
/** The most that is taken. */
export const MOST_BYTES = 1024 * MB;
/** Above these a film is heavy; common practice, no source. */
const HEAVY_BYTES = 100 * MB;
const LONG_SECONDS = 600;
const LARGE_SIDE = 1920;
const LARGE_OTHER = 1080;
/** Pictures that most phones cannot show. */
const MOST_PIXELS = 60_000_000;
const HEAVY_PICTURE = 2 * MB;

/** What plays in every browser: container, codec of the pictures, codec of the sound. */
const EVERYWHERE: [type: string, video: string[], audio: string[]][] = [
	['video/mp4', ['avc'], ['aac', 'mp3']],
	['video/webm', ['vp8', 'vp9'], ['opus', 'vorbis']]
];
const SOME = ['av1', 'hevc'];

/** Judges a file in plain words, worst first; one that has no fault says that it is good. Check values: common practice. */
export function judge(facts: MediaFacts): Finding[] {
	const findings = judgeKind(facts);
	const order: Level[] = ['bad', 'warning', 'good'];
	return findings.sort((a, b) => order.indexOf(a.level) - order.indexOf(b.level));
}

function judgeKind(facts: MediaFacts): Finding[] {
	if (facts.kind === 'film') return judgeFilm(facts);
	return facts.kind === 'picture' ? judgePicture(facts) : judgeCaptions(facts);
}

function judgeCaptions({ cues, faults }: CaptionFacts): Finding[] {
	if (cues === 0) return [{ level: 'bad', text: 'says nothing', advice: 'It has no caption that could be shown.' }];
	if (faults.length === 0) return [{ level: 'good', text: 'shows everywhere', advice: '' }];
	return faults.slice(0, 3).map(({ line, message }) => ({
		level: 'warning',
		text: `line ${line}: ${message}`,
		advice: 'Mend it in a text editor and upload it again.'
	}));
}

function judgeFilm(facts: FilmFacts): Finding[] {
	const findings = [playing(facts)];
	const warn = (text: string, advice: string) => findings.push({ level: 'warning', text, advice });
	if (facts.indexFirst === false)
		warn('will start late', 'Its index stands at the end. Save it with “fast start” or “web optimised” on.');
	if (facts.size > HEAVY_BYTES)
		warn(`heavy: ${Math.round(facts.size / MB)} MB`, 'Save it smaller; 5 Mbit/s is plenty for 1080p.');
	if ((facts.duration ?? 0) > LONG_SECONDS)
		warn(`${Math.round((facts.duration ?? 0) / 60)} minutes long`, 'Cut it, or put it on a film host.');
	const [long, short] = [facts.width ?? 0, facts.height ?? 0].sort((a, b) => b - a) as [number, number];
	if (long > LARGE_SIDE || short > LARGE_OTHER)
		warn(`${facts.width} × ${facts.height} is more than shops show`, 'Save it as 1080p or less.');
	return findings;
}

function playing({ type, videoCodec, audioCodec }: FilmFacts): Finding {
	if (videoCodec === null)
		return {
			level: 'bad',
			text: 'will not play: it has no pictures',
			advice: 'Save it again as MP4 with H.264 and AAC.'
		};
	const isEverywhere = EVERYWHERE.some(
		([container, video, audio]) =>
			container === type && video.includes(videoCodec) && (audioCodec === null || audio.includes(audioCodec))
	);
	if (isEverywhere) return { level: 'good', text: 'plays everywhere', advice: '' };
	const advice = 'Save it as MP4 with H.264 and AAC, or as WebM.';
	if (type === 'video/quicktime' || SOME.includes(videoCodec))
		return { level: 'bad', text: `plays in some browsers only: ${nameOf(type, videoCodec)}`, advice };
	return { level: 'bad', text: `will not play in most browsers: ${nameOf(type, videoCodec)}`, advice };
}

const NAMES: Record<string, string> = { avc: 'H.264', hevc: 'HEVC', av1: 'AV1', vp9: 'VP9', vp8: 'VP8' };

function nameOf(type: string, codec: string): string {
	return `${NAMES[codec] ?? codec} in ${type === 'video/quicktime' ? 'MOV' : type.replace('video/', '')}`;
}

function judgePicture({ width, height, size, animated }: PictureFacts): Finding[] {
	if (width * height > MOST_PIXELS)
		return [
			{
				level: 'bad',
				text: `${width} × ${height} is too large for phones to show`,
				advice: 'Save it with 3,000 pixels at its longer side.'
			}
		];
	if (size > HEAVY_PICTURE)
		return [
			{
				level: 'warning',
				text: `heavy: ${(size / MB).toFixed(1)} MB`,
				advice: animated ? 'Make a film of the animation; it is a tenth as heavy.' : 'Save it as WebP or AVIF.'
			}
		];
	return [{ level: 'good', text: 'shows everywhere', advice: '' }];
}

/** A length in minutes and seconds: `2:05`. */
export function durationText(seconds: number): string {
	const whole = Math.round(seconds);
	return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** What was read, in a line: `1920 × 1080, 2:05, H.264, 34.1 MB`. */
export function factsText(facts: MediaFacts): string {
	if (facts.kind === 'captions')
		return `${facts.cues} captions, ${durationText(facts.duration)}, ${sizeText(facts.size)}`;
	const size = sizeText(facts.size);
	const shape = facts.width && facts.height ? [`${facts.width} × ${facts.height}`] : [];
	if (facts.kind === 'picture') return [...shape, ...(facts.animated ? ['animated'] : []), size].join(', ');
	const length = facts.duration === null ? [] : [durationText(facts.duration)];
	const codec = facts.videoCodec === null ? [] : [NAMES[facts.videoCodec] ?? facts.videoCodec];
	const rate = facts.frameRate === null ? [] : [`${Math.round(facts.frameRate)} fps`];
	const sound = facts.audioCodec === null ? ['no sound'] : [];
	return [...shape, ...length, ...codec, ...rate, ...sound, size].join(', ');
}

function sizeText(bytes: number): string {
	return bytes >= MB ? `${(bytes / MB).toFixed(1)} MB` : `${Math.max(1, Math.round(bytes / 1024))} kB`;
}
