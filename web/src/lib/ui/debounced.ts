/** Work that waits until nothing was asked for a moment, and is then done once with what was asked last. */
export function debounced<Asked>(work: (asked: Asked) => void, pause = 250): (asked: Asked) => void {
	let timer: ReturnType<typeof setTimeout> | undefined;
	return (asked) => {
		clearTimeout(timer);
		timer = setTimeout(() => work(asked), pause);
	};
}
