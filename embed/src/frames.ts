import type { Memory } from './memory.js';

/** The name under which a browser remembers the hosts whose frames its visitor always wants. */
const HOSTS = 'hosts';

/** Puts a foreign frame in place of its cover once the visitor asks for it, now or always. */
export function foreignFrame(frame: HTMLElement, memory: Memory): void {
	const { anbauFrame: host = '' } = frame.dataset;
	const open = () => {
		const template = frame.querySelector('template');
		if (template) frame.replaceChildren(template.content);
	};
	const wanted = () => memory.recall<string[]>(HOSTS, []);
	if (wanted().includes(host)) return open();
	const always = frame.querySelector('input');
	frame.querySelector('button')?.addEventListener('click', () => {
		if (always?.checked) memory.keep(HOSTS, [...wanted(), host]);
		open();
	});
}

/** A film without sound that plays over and over while it is seen, where the visitor's motion setting allows. */
export function loopingFilm(film: HTMLVideoElement): void {
	if (matchMedia('(prefers-reduced-motion: reduce)').matches) return;
	film.muted = true;
	new IntersectionObserver(([entry]) => {
		// A browser that saves power may refuse; the player's own button is there.
		if (entry?.isIntersecting) film.play().catch(() => {});
		else film.pause();
	}).observe(film);
}

/** One film at a time: one that begins stops the others. */
export function oneAtATime({ target }: Event): void {
	if (!(target instanceof HTMLVideoElement) || target.loop) return;
	for (const film of document.querySelectorAll<HTMLVideoElement>('.anbau video:not([loop])'))
		if (film !== target) film.pause();
}
