/** A category: its key is the slugs of its path joined by `/`, so the tree is in the keys and has no cycles. */
export interface Category {
	key: string;
	title: string;
	description: string;
	parent: string | null;
}

/** A text as a slug: ASCII letters and digits, words joined by `-`; empty when nothing of it can be kept. */
export function slugify(text: string): string {
	return text
		.normalize('NFKD')
		.replace(/\p{Mark}/gu, '')
		.replace(/ß/g, 'ss')
		.toLowerCase()
		.replace(/&/g, ' and ')
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-+|-+$/g, '');
}

/**
 * Reads a category path of titles (`Seeds > Vegetables`) into its categories from the top down, each with its
 * key (`seeds`, `seeds/vegetables`). Null when a title of the path is empty or leaves no slug.
 */
export function parseCategoryPath(path: string): Category[] | null {
	const found: Category[] = [];
	let parent: string | null = null;
	for (const part of path.split('>')) {
		const title = part.trim();
		const slug = slugify(title);
		if (!slug) return null;
		const key: string = parent === null ? slug : `${parent}/${slug}`;
		found.push({ key, title, description: '', parent });
		parent = key;
	}
	return found;
}

/** A category's key and those of all categories above it, from itself upwards. */
export function withAncestors(key: string): string[] {
	const keys = [key];
	for (let cut = key.lastIndexOf('/'); cut > 0; cut = key.lastIndexOf('/', cut - 1)) keys.push(key.slice(0, cut));
	return keys;
}

/** Whether a category is the given one or lies below it. */
export function isWithin(key: string, ancestor: string): boolean {
	return key === ancestor || key.startsWith(`${ancestor}/`);
}
