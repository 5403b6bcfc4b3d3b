import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { judge, type FilmFacts } from '@anbau/core/media';
import { probe } from './probe.js';
import { problemOf } from './testing.js';

const folder = mkdtempSync(join(tmpdir(), 'anbau-films-'));

/** A film of three seconds with a tone, made by ffmpeg (Debian). */
function make(name: string, ...options: string[]): string {
	const file = join(folder, name);
	const pictures = ['-f', 'lavfi', '-i', 'testsrc=size=320x180:rate=25:duration=3'];
	const sound = ['-f', 'lavfi', '-i', 'sine=frequency=440:duration=3'];
	execFileSync('ffmpeg', ['-v', 'error', '-y', ...pictures, ...sound, '-pix_fmt', 'yuv420p', ...options, file]);
	return file;
}

const x264 = ['-c:v', 'libx264', '-preset', 'ultrafast', '-c:a', 'aac'];
const FILMS: [name: string, options: string[], type: string, verdict: string][] = [
	['front.mp4', [...x264, '-movflags', '+faststart'], 'video/mp4', 'plays everywhere'],
	['end.mp4', x264, 'video/mp4', 'will start late'],
	[
		'hevc.mp4',
		[
			'-c:v',
			'libx265',
			'-preset',
			'ultrafast',
			'-x265-params',
			'log-level=error',
			'-tag:v',
			'hvc1',
			'-c:a',
			'aac',
			'-movflags',
			'+faststart'
		],
		'video/mp4',
		'plays in some browsers only: HEVC in mp4'
	],
	['vp9.webm', ['-c:v', 'libvpx-vp9', '-deadline', 'realtime', '-c:a', 'libopus'], 'video/webm', 'plays everywhere'],
	['apple.mov', [...x264, '-movflags', '+faststart'], 'video/quicktime', 'plays in some browsers only: H.264 in MOV'],
	[
		'silent.mp4',
		['-c:v', 'libx264', '-preset', 'ultrafast', '-an', '-movflags', '+faststart'],
		'video/mp4',
		'plays everywhere'
	]
];

interface Stream {
	codec_type: string;
	codec_name: string;
	width?: number;
	height?: number;
	avg_frame_rate?: string;
}

/** What ffprobe (Debian, of the same project as ffmpeg) reads of a film. */
function ffprobe(file: string): { streams: Stream[]; format: { duration: string } } {
	const asked = ['-v', 'error', '-of', 'json', '-show_format', '-show_streams', file];
	return JSON.parse(execFileSync('ffprobe', asked, { encoding: 'utf8' })) as ReturnType<typeof ffprobe>;
}
/** ffprobe's names of codecs in ours. */
const CODECS: Record<string, string> = { h264: 'avc' };

const facts = async (file: string) => (await probe(file, 'film', statSync(file).size)).facts as FilmFacts;

describe('a film made by ffmpeg', () => {
	it.each(FILMS)('%s is read as ffprobe reads it, and judged', async (name, options, type, verdict) => {
		const file = make(name, ...options);
		const found = await facts(file);
		const { streams, format } = ffprobe(file);
		const video = streams.find(({ codec_type }) => codec_type === 'video');
		const audio = streams.find(({ codec_type }) => codec_type === 'audio');
		const [pictures = 0, seconds = 1] = (video?.avg_frame_rate ?? '').split('/').map(Number);
		expect(found).toMatchObject({
			type,
			width: video?.width,
			height: video?.height,
			videoCodec: CODECS[video?.codec_name ?? ''] ?? video?.codec_name,
			audioCodec: audio?.codec_name ?? null
		});
		expect(found.duration).toBeCloseTo(Number(format.duration), 1);
		expect(found.frameRate).toBeCloseTo(pictures / seconds, 1);
		expect(found.indexFirst).toBe(name === 'end.mp4' ? false : type === 'video/webm' ? null : true);
		expect(judge(found)[0]?.text).toBe(verdict);
	});

	it('is refused where it is cut off in the middle, wherever its index stands', async () => {
		for (const options of [['-movflags', '+faststart'], []]) {
			const whole = readFileSync(make('whole.mp4', ...x264, ...options));
			const half = join(folder, 'half.mp4');
			writeFileSync(half, whole.subarray(0, whole.length / 2));
			expect((await problemOf(facts(half)))?.message).toMatch(/cut off/);
		}
	});
});

/**
 * The WHATWG MIME Sniffing Standard, sections 6.1 (image patterns) and 6.2 (audio and video patterns, the MP4 and WebM
 * signatures): bytes by which a type is told. Written down from memory.
 */
const PATTERNS: [bytes: number[] | string, type: string][] = [
	['GIF87a', 'image/gif'],
	['GIF89a', 'image/gif'],
	['RIFF\x24\x00\x00\x00WEBPVP8 ', 'image/webp'],
	[[0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a], 'image/png'],
	[[0xff, 0xd8, 0xff], 'image/jpeg'],
	['BM', 'image/bmp'],
	['OggS\x00', 'application/ogg'],
	['RIFF\x24\x00\x00\x00AVI ', 'video/avi'],
	['\x00\x00\x00\x18ftypmp42\x00\x00\x00\x00mp42isom', 'video/mp4'],
	['%PDF-', 'application/pdf'],
	['<!DOCTYPE HTML ', 'text/html'],
	['<script ', 'text/html'],
	['PK\x03\x04', 'application/zip']
];

describe('bytes that begin as the standard for sniffing says', () => {
	it.each(PATTERNS)('%j are refused, and never called another type than %s', async (bytes, type) => {
		const file = join(folder, 'pattern');
		const start = typeof bytes === 'string' ? Buffer.from(bytes, 'latin1') : Buffer.from(bytes);
		writeFileSync(file, Buffer.concat([start, Buffer.alloc(600)]));
		const problem = await problemOf(probe(file, 'pattern', 600 + start.length));
		// Nothing of it is a whole file, so that it is refused; where a type is named, it is of the same family.
		expect(problem?.message).toMatch(/cannot be read as|cut off|what is taken is/);
		const [, named] = /is (\w+)\/[\w.-]+; what is taken/.exec(problem?.message ?? '') ?? [];
		if (named !== undefined) expect(named).toBe(type.split('/')[0]);
	});
});
