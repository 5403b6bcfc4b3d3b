import { foreignFrame, loopingFilm, oneAtATime } from './frames.js';
import type { Memory } from './memory.js';
import { reading, writing, type NodesOf } from './sections.js';

/** Wires what is watched, read and written inside placed pieces: films, foreign frames, sections of reviews. */
export function wireParts(nodes: readonly Element[], nodesOf: NodesOf, memory: Memory): void {
	// What was placed may lie inside something else that was; each is wired once, and nothing of the theme's own.
	const each = <Found extends Element>(selector: string, work: (found: Found) => void) =>
		new Set(nodes.flatMap((node) => [...node.querySelectorAll<Found>(`.anbau ${selector}`)])).forEach(work);
	each<HTMLElement>('[data-anbau-frame]', (frame) => foreignFrame(frame, memory));
	each<HTMLVideoElement>('video[loop]', loopingFilm);
	each<HTMLElement>('[data-anbau-reviews]', (section) => {
		reading(section, nodesOf);
		writing(section);
	});
}

document.addEventListener('play', oneAtATime, true);
