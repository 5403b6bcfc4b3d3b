/** Makes nodes of HTML that the server rendered. */
export type NodesOf = (html: string) => DocumentFragment;

/** The token of an invitation's link; it does not stay in the address. */
const [, invitation] = location.hash.split('#anbau-review=');
let isAimed = false;

/** Shows what the page's address leads to, in whatever tab it stands: it was not there yet when the browser looked. */
function aimAt({ id }: Element): void {
	if (isAimed) return;
	isAimed = true;
	location.replace(`#${id}`);
}

/** Lets a section of reviews be ordered, filtered and leafed through. */
export function reading(section: HTMLElement, nodesOf: NodesOf): void {
	if (!invitation && location.hash === `#${section.id}`) aimAt(section);
	const list = section.querySelector('[data-anbau-list]');
	const tools = section.querySelector('form');
	if (!list || !tools?.hidden) return;
	const ask = async (page: string) => {
		const which = new URLSearchParams({ page });
		new FormData(tools).forEach((value, name) => which.set(name, `${value}`));
		const answer = await fetch(`${section.dataset.anbauReviews}&${which}`);
		if (answer.ok) list.replaceChildren(nodesOf(await answer.text()));
		section.scrollIntoView({ block: 'nearest' });
	};
	tools.hidden = false;
	tools.onchange = () => ask('1');
	section.onclick = ({ target }) => {
		const page = target instanceof HTMLElement && target.dataset.anbauPage;
		if (page) void ask(page);
	};
}

/** Sends the review that a visitor writes in a section. */
export function writing(section: HTMLElement): void {
	const box = section.querySelector('details');
	const form = box?.querySelector('form');
	const status = form?.querySelector('[role]');
	if (!box || !form || !status) return;
	if (invitation) {
		box.open = true;
		aimAt(box);
	}
	form.onsubmit = async (event) => {
		event.preventDefault();
		const filled = new FormData(form);
		const written = Object.fromEntries(filled);
		try {
			const pictures: string[] = [];
			for (const picture of filled.getAll('pictures') as File[])
				if (picture.size) {
					const about = new URLSearchParams({ product: `${written.product}`, pass: `${written.pass}` });
					const { address } = await post(`${form.action}/pictures?${about}`, picture);
					pictures.push(address);
				}
			const review = { ...written, rating: +`${written.rating}`, pictures, invitation };
			await post(form.action, JSON.stringify(review));
			status.textContent = 'Thank you. Your review waits to be looked at.';
			form.reset();
		} catch (error) {
			status.textContent = typeof error === 'string' ? error : 'It could not be sent. Try again in a moment.';
		}
	};
}

/** Sends something and answers what comes back; throws what the server has against it as a text. */
async function post(address: string, body: BodyInit): Promise<{ address: string }> {
	const answer = await fetch(address, { method: 'POST', body });
	const found = await answer.json();
	if (!answer.ok) throw found.title;
	return found;
}
