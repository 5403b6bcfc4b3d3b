/** A width to a height as a shape like `16:9`, in numbers of four digits at most. */
export function shapeOf(width: number, height: number): string {
	const scale = Math.min(1, 9999 / Math.max(width, height));
	return `${Math.max(1, Math.round(width * scale))}:${Math.max(1, Math.round(height * scale))}`;
}
