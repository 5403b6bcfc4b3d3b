// The second theme's own script: it turns its tabs, and shows another product without a reload.
function turn(list, tab) {
	for (const one of list.querySelectorAll('[role=tab]')) {
		const isChosen = one === tab;
		one.setAttribute('aria-selected', String(isChosen));
		one.tabIndex = isChosen ? 0 : -1;
		document.getElementById(one.getAttribute('aria-controls')).hidden = !isChosen;
	}
}

document.addEventListener('click', (event) => {
	const tab = event.target.closest('.leaves > [role=tablist] > [role=tab], .strip > [role=tablist] > [role=tab]');
	if (tab) turn(tab.parentElement, tab);
	const link = event.target.closest('a[data-switch]');
	if (link && !event.ctrlKey && !event.metaKey) {
		event.preventDefault();
		history.pushState(null, '', link.href);
		void show(link.href);
	}
});

document.addEventListener('keydown', (event) => {
	const tab = event.target.closest('.leaves [role=tab]');
	const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
	if (!tab || !step || tab.classList.contains('anbau-tab')) return;
	const tabs = [...tab.parentElement.querySelectorAll('[role=tab]')];
	const next = tabs[(tabs.indexOf(tab) + step + tabs.length) % tabs.length];
	turn(tab.parentElement, next);
	next.focus();
});

let shown = location.pathname;

/** Puts the main part of another page in place of this one's, and its data too. */
async function show(href) {
	shown = new URL(href).pathname;
	const page = new DOMParser().parseFromString(await (await fetch(href)).text(), 'text/html');
	for (const part of ['main', 'title', 'script[type="application/ld+json"]'])
		document.querySelector(part).replaceWith(document.importNode(page.querySelector(part), true));
	const { dataset } = document.querySelector('script[data-store]');
	Object.assign(dataset, page.querySelector('script[data-store]').dataset);
	scrollTo(0, 0);
}

// Moving within a page, to a heading say, is no other page.
addEventListener('popstate', () => {
	if (location.pathname !== shown) void show(location.href);
});

// Two of the test pages make their strip late, or make it anew.
const late = document.querySelector('template[data-late]');
if (late) setTimeout(() => late.replaceWith(late.content), 600);
const again = document.querySelector('[data-again]');
if (again)
	setTimeout(() => {
		const fresh = again.cloneNode(false);
		fresh.append(again.querySelector('template').content.cloneNode(true));
		again.replaceWith(fresh);
	}, 900);
const shade = document.querySelector('[data-shade]');
if (shade) shade.attachShadow({ mode: 'open' }).append(shade.querySelector('template').content);
