import type { DemoProduct } from '@anbau/demo/products';
import { html, raw, type Html } from './html.js';
import { headOf, type ThemePage, type Visit } from './theme.js';
import type { Shop } from './shop.js';

/** The three tabs that every strip has. */
const SIDES = [
	['Description', html`<p>What it is, in the theme’s own words.</p>`],
	['Details', html`<p>Its measures.</p>`],
	['Delivery', html`<p>How it comes to you.</p>`]
] as const;

const idOf = (title: string) => title.toLowerCase();

const aria = html`<div role="tablist">
		${SIDES.map(
			([title], i) =>
				html`<button
					type="button"
					role="tab"
					aria-controls="${idOf(title)}"
					aria-selected="${i === 0 ? 'true' : 'false'}"
				>
					${title}
				</button>`
		)}
	</div>
	${SIDES.map(
		([title, text], i) => html`<div role="tabpanel" id="${idOf(title)}" ${raw(i === 0 ? '' : 'hidden')}>${text}</div>`
	)}`;

/** Small pages on which the same three tabs are made in all the ways that themes make them. */
const STRIPS: Record<string, Html> = {
	aria: html`<div class="strip">${aria}</div>`,
	details: html`<div class="strip">
		${SIDES.map(
			([title, text], i) =>
				html`<details name="sides" ${raw(i === 0 ? 'open' : '')}>
					<summary>${title}</summary>
					${text}
				</details>`
		)}
	</div>`,
	radio: html`<div class="strip">
		${SIDES.map(
			([title], i) =>
				html`<input type="radio" name="side" id="side-${i}" ${raw(i === 0 ? 'checked' : '')} /><label for="side-${i}"
						>${title}</label
					>`
		)}
		${SIDES.map(([, text]) => html`<div class="side">${text}</div>`)}
	</div>`,
	anchors: html`<div class="strip">
		<ul>
			${SIDES.map(([title]) => html`<li><a href="#${idOf(title)}">${title}</a></li>`)}
		</ul>
		${SIDES.map(([title, text]) => html`<section id="${idOf(title)}">${text}</section>`)}
	</div>`,
	headings: html`<div class="strip">
		${SIDES.map(
			([title, text]) =>
				html`<h3>${title}</h3>
					${text}`
		)}
	</div>`,
	shadow: html`<div class="strip" data-shade><template>${aria}</template></div>`,
	late: html`<template data-late><div class="strip">${aria}</div></template>`,
	rerender: html`<div class="strip" data-again>${aria}<template>${aria}</template></div>`,
	unknown: html`<div class="strip"><p>One text, and no tabs at all.</p></div>`
};

/** A page of the matrix, for a product whose pieces hang in the strip. */
export function stripPage(shop: Shop, name: string, product: DemoProduct, visit: Visit): Html | null {
	const strip = Object.hasOwn(STRIPS, name) ? STRIPS[name] : undefined;
	if (!strip) return null;
	const page: ThemePage = { title: `Strip: ${name}`, kind: 'product', id: product.key, main: strip };
	return html`${headOf(shop, page, visit, 'meadow.css', 'meadow.js')}
		<body>
			<main class="field">
				<h1>${product.title}</h1>
				${strip}
				<p class="after">What follows the strip.</p>
			</main>
		</body>`;
}
