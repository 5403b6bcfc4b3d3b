// @ts-check
/**
 * Draws the demo's films from their own sources and has ffmpeg (Debian) put the pictures together. Run by hand when a
 * drawing changes: node demo/films/make.mjs
 */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import sharp from 'sharp';

const RATE = 20;
const [WIDTH, HEIGHT] = [960, 540];
const GROUND = 430;

/** How far a step that lasts from `from` to `until` is at a time, eased, 0 to 1. @param {number} time @param {number} from @param {number} until */
function during(time, from, until) {
	const part = Math.min(1, Math.max(0, (time - from) / (until - from)));
	return part * part * (3 - 2 * part);
}

/** @param {string} inner */
const picture = (inner) =>
	`<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}" viewBox="0 0 ${WIDTH} ${HEIGHT}">
	<rect width="${WIDTH}" height="${HEIGHT}" fill="#dfe9df"/><circle cx="830" cy="90" r="46" fill="#f5e9c8"/>
	<path d="M0 ${GROUND} q240 -28 480 0 t480 0 V${HEIGHT} H0z" fill="#7f9a6a"/>${inner}</svg>`;

/** A greenhouse that is put together: base, frame, roof, glass, door. @param {number} time */
function assembly(time) {
	const base = during(time, 0.5, 2);
	const frame = during(time, 2.5, 5);
	const roof = during(time, 5.5, 7.5);
	const glass = during(time, 8, 10.5);
	const door = during(time, 10.5, 11.5);
	const top = GROUND - 190 * frame;
	const bars = [260, 353, 446, 540, 633, 700].map((x) => `<path d="M${x} ${GROUND} V${top}"/>`).join('');
	const peak = GROUND - 190 - 110 * roof;
	const ridge = roof > 0 ? `<path d="M260 ${GROUND - 190} L480 ${peak} L700 ${GROUND - 190}"/>` : '';
	const panes = [260, 353, 446, 540, 633]
		.map((x, i) => {
			const shown = during(glass, i * 0.16, i * 0.16 + 0.3);
			const width = i === 4 ? 67 : 93;
			return `<rect x="${x}" y="${GROUND - 190 * shown}" width="${width}" height="${190 * shown}"/>`;
		})
		.join('');
	const gable =
		glass > 0 ? `<path d="M260 ${GROUND - 190} L480 ${peak} L700 ${GROUND - 190}z" opacity="${glass}"/>` : '';
	const swing = 92 * door;
	return picture(`<rect x="${480 - 230 * base}" y="${GROUND - 4}" width="${460 * base}" height="16" fill="#8a8f86"/>
	<g fill="#bfe0ea" fill-opacity=".75">${panes}${gable}</g>
	<g fill="none" stroke="#2c5b43" stroke-width="8" stroke-linecap="round">${frame > 0 ? bars : ''}${ridge}${
		frame >= 1 ? `<path d="M260 ${top} H700"/>` : ''
	}</g>
	${door > 0 ? `<rect x="447" y="${GROUND - 168}" width="${Math.max(8, swing)}" height="168" fill="#b64f2a" fill-opacity=".85"/>` : ''}`);
}

/** A seed that is sown, watered and comes up, and again. @param {number} time */
function sowing(time) {
	const fall = during(time, 0.2, 1.2);
	const cover = during(time, 1.4, 2);
	const rain = time > 2.2 && time < 3.6;
	const grow = during(time, 3.4, 5.4);
	const fade = 1 - during(time, 5.6, 6);
	const depth = GROUND + 66;
	const drops = rain
		? Array.from({ length: 14 }, (_, i) => {
				const y = ((time * 260 + i * 61) % 240) + 150;
				return `<path d="M${396 + ((i * 37) % 170)} ${y} v16" stroke="#29627f" stroke-width="5" stroke-linecap="round"/>`;
			}).join('')
		: '';
	const tip = depth - 200 * grow;
	const leaves =
		grow > 0.4
			? `<path d="M480 ${tip + 30} q-70 -10 -80 -60 q66 0 80 60 M480 ${tip + 30} q70 -10 80 -60 q-66 0 -80 60" fill="#4d8a4f" opacity="${during(grow, 0.4, 0.8)}"/>`
			: '';
	return picture(`<path d="M0 ${GROUND} q240 -28 480 0 t480 0 V${HEIGHT} H0z" fill="#6b5138"/>
	<path d="M440 ${GROUND - 6} Q480 ${depth + 34 - 60 * cover} 520 ${GROUND - 6}z" fill="#4a3726" opacity="${1 - cover}"/>
	<g opacity="${fade}"><ellipse cx="480" cy="${120 + (depth - 120) * fall}" rx="15" ry="11" fill="#e0b76b"/>
	${grow > 0 ? `<path d="M480 ${depth} V${tip}" stroke="#4d8a4f" stroke-width="9" stroke-linecap="round"/>` : ''}${leaves}</g>${drops}
	<path d="M624 ${GROUND} h32 m-16 0 V${depth} m-16 0 h32" stroke="#fffdf8" stroke-width="3" fill="none"/>`);
}

/** A tree that is planted: the hole, the roots, the stake, the soil. @param {number} time */
function planting(time) {
	const hole = during(time, 0.4, 2);
	const tree = during(time, 2.2, 4);
	const stake = during(time, 4.2, 5.2);
	const fill = during(time, 5.4, 7);
	const y = -320 + 320 * tree;
	return picture(`<path d="M${480 - 130 * hole} ${GROUND} Q480 ${GROUND + 170 * hole} ${480 + 130 * hole} ${GROUND}z" fill="#4a3726"/>
	${tree > 0 ? `<g transform="translate(0 ${y})"><path d="M480 ${GROUND + 20} V180" stroke="#6b5138" stroke-width="16"/><path d="M480 ${GROUND + 14} l-56 40 M480 ${GROUND + 14} l60 38 M480 ${GROUND + 14} l0 58" stroke="#6b5138" stroke-width="9"/><circle cx="480" cy="160" r="86" fill="#4d8a4f"/><circle cx="450" cy="150" r="11" fill="#b64f2a"/><circle cx="515" cy="180" r="11" fill="#b64f2a"/></g>` : ''}
	${stake > 0 ? `<path d="M530 ${GROUND + 60 * stake} V${250 - 40 * (1 - stake)}" stroke="#a98a5f" stroke-width="13"/>` : ''}
	${stake >= 1 ? '<path d="M480 300 q26 14 50 0" stroke="#2c5b43" stroke-width="7" fill="none"/>' : ''}
	<path d="M350 ${GROUND} Q480 ${GROUND + 170 * (1 - fill)} 610 ${GROUND}z" fill="#6b5138" opacity="${fill > 0 ? 1 : 0}" transform="translate(0 ${fill > 0 ? 0 : 400})"/>`);
}

/** @param {string} name @param {number} seconds @param {(time: number) => string} draw */
async function make(name, seconds, draw) {
	const file = new URL(`${name}.mp4`, import.meta.url).pathname;
	const ffmpeg = spawn(
		'ffmpeg',
		`-y -f image2pipe -framerate ${RATE} -i - -c:v libx264 -preset veryslow -crf 27 -pix_fmt yuv420p -movflags +faststart ${file}`.split(
			' '
		),
		{ stdio: ['pipe', 'ignore', 'inherit'] }
	);
	for (let frame = 0; frame < seconds * RATE; frame++) {
		const png = await sharp(Buffer.from(draw(frame / RATE)))
			.png({ compressionLevel: 1 })
			.toBuffer();
		if (!ffmpeg.stdin.write(png)) await once(ffmpeg.stdin, 'drain');
	}
	ffmpeg.stdin.end();
	const [code] = await once(ffmpeg, 'close');
	if (code !== 0) throw new Error(`ffmpeg ended with ${code}`);
	await sharp(Buffer.from(draw(seconds - 0.6)))
		.jpeg({ quality: 80 })
		.toFile(file.replace('.mp4', '.jpg'));
}

await make('assembly', 12, assembly);
await make('sowing', 6, sowing);
await make('planting', 8, planting);
