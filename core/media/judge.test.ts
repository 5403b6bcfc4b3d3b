import { describe, expect, it } from 'vitest';
import type { FilmFacts, PictureFacts } from './facts.js';
import { factsText, judge, MOST_BYTES } from './judge.js';

const MB = 1024 * 1024;
const film = (change: Partial<FilmFacts> = {}): FilmFacts => ({
	kind: 'film',
	type: 'video/mp4',
	size: 20 * MB,
	width: 1280,
	height: 720,
	duration: 125,
	videoCodec: 'avc',
	audioCodec: 'aac',
	frameRate: 25,
	indexFirst: true,
	...change
});
const picture = (change: Partial<PictureFacts> = {}): PictureFacts => ({
	kind: 'picture',
	type: 'image/webp',
	size: 90_000,
	width: 1600,
	height: 1200,
	animated: false,
	...change
});
const levels = (facts: FilmFacts | PictureFacts) => judge(facts).map(({ level, text }) => `${level}: ${text}`);

// Common practice, no source, all of these.
describe('an uploaded film', () => {
	it('plays everywhere as MP4 with H.264 and AAC, and as WebM', () => {
		expect(levels(film())).toEqual(['good: plays everywhere']);
		expect(levels(film({ audioCodec: null }))).toEqual(['good: plays everywhere']);
		expect(levels(film({ type: 'video/webm', videoCodec: 'vp9', audioCodec: 'opus' }))).toEqual([
			'good: plays everywhere'
		]);
	});

	it('often does not play as MOV or with HEVC, and says what to do', () => {
		expect(levels(film({ videoCodec: 'hevc' }))).toEqual(['bad: plays in some browsers only: HEVC in mp4']);
		expect(levels(film({ type: 'video/quicktime' }))).toEqual(['bad: plays in some browsers only: H.264 in MOV']);
		expect(judge(film({ videoCodec: null }))[0]).toMatchObject({
			level: 'bad',
			advice: expect.stringContaining('MP4') as string
		});
		expect(levels(film({ type: 'video/x-msvideo', videoCodec: 'mpeg4' }))[0]).toMatch(/^bad: will not play/);
	});

	it('is warned of above 100 MB, 10 minutes or 1080p, and with its index at the end', () => {
		expect(levels(film({ size: 100 * MB, duration: 600, width: 1920, height: 1080 }))).toEqual([
			'good: plays everywhere'
		]);
		expect(levels(film({ size: 101 * MB }))).toContain('warning: heavy: 101 MB');
		expect(levels(film({ duration: 660 }))).toContain('warning: 11 minutes long');
		expect(levels(film({ width: 3840, height: 2160 }))).toContain('warning: 3840 × 2160 is more than shops show');
		expect(levels(film({ width: 1080, height: 1920 }))).toEqual(['good: plays everywhere']);
		expect(levels(film({ indexFirst: false }))).toEqual(['warning: will start late', 'good: plays everywhere']);
		expect(MOST_BYTES).toBe(1024 * MB);
	});
});

describe('an uploaded picture', () => {
	it('shows everywhere, is heavy, or is too large for phones', () => {
		expect(levels(picture())).toEqual(['good: shows everywhere']);
		expect(levels(picture({ size: 3 * MB }))).toEqual(['warning: heavy: 3.0 MB']);
		expect(levels(picture({ width: 30_000, height: 30_000 }))[0]).toMatch(/^bad: 30000 × 30000 is too large/);
	});

	it('is told in a line', () => {
		expect(factsText(picture())).toBe('1600 × 1200, 88 kB');
		expect(factsText(film({ size: 34.1 * MB }))).toBe('1280 × 720, 2:05, H.264, 25 fps, 34.1 MB');
	});
});
