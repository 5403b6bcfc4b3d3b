/** What the media host has: each work is drawn, has an address to watch it at, and a frame. */
export interface Work {
	title: string;
	author: string;
	/** SVG. */
	svg: string;
	/** Whether it plays. */
	isFilm: boolean;
}

const svg = (inner: string) =>
	`<svg xmlns="http://www.w3.org/2000/svg" width="640" height="360" viewBox="0 0 640 360">${inner}</svg>`;

export const WORKS: Record<string, Work> = {
	'sowing-depth': {
		title: 'How deep to sow',
		author: 'Mossgate Drawing Room',
		isFilm: false,
		svg: svg(
			'<rect width="640" height="360" fill="#f4f1e8"/><rect y="140" width="640" height="220" fill="#b79b78"/><g fill="#5b4630"><circle cx="160" cy="165" r="8"/><circle cx="320" cy="200" r="14"/><circle cx="480" cy="260" r="24"/></g>'
		)
	},
	'pruning-in-february': {
		title: 'Pruning in February',
		author: 'Mossgate Films',
		isFilm: true,
		svg: svg(
			'<rect width="640" height="360" fill="#dce6ea"/><path d="M0 300h640v60H0z" fill="#8b9a72"/><path d="M320 310V150m0 60l-90-80m90 40l80-90m-80 130l-60-30" stroke="#5b4630" stroke-width="14" fill="none"/><path d="M470 90l60 60m0-60l-60 60" stroke="#b64f2a" stroke-width="10"/>'
		)
	},
	nursery: {
		title: 'The way to the nursery',
		author: 'Mossgate Maps',
		isFilm: false,
		svg: svg(
			'<rect width="640" height="360" fill="#e9e6db"/><path d="M0 230q180-60 320 0t320-20v60q-180 60-320 0T0 290z" fill="#bfe0ea"/><path d="M60 0l120 360M0 90l640 70M430 0l-40 360" stroke="#fffdf8" stroke-width="16" fill="none"/><path d="M60 0l120 360M0 90l640 70M430 0l-40 360" stroke="#c9c2ae" stroke-width="2" fill="none"/><path d="M412 120c0-26 44-26 44 0 0 18-22 44-22 44s-22-26-22-44z" fill="#b64f2a"/><text x="462" y="118" font-family="sans-serif" font-size="22" fill="#1d2a22">Hollowmere</text>'
		)
	}
};

/** A page that is meant to stand in a frame: the drawing, and for a film something that moves. */
export function framePage({ title, svg, isFilm }: Work): string {
	const moving = isFilm
		? '<style>svg{animation:sway 6s ease-in-out infinite alternate}@keyframes sway{to{transform:scale(1.06)}}@media (prefers-reduced-motion:reduce){svg{animation:none}}</style>'
		: '';
	return `<!doctype html><html lang="en"><meta charset="utf-8"><title>${title}</title><style>html,body{margin:0;height:100%;overflow:hidden;background:#23302a}svg{display:block;width:100%;height:100%}</style>${moving}${svg}</html>`;
}
