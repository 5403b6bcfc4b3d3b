import { z } from 'zod';
import { bodyInput, slugSchema, hasPanels, type Body, type BodyPart, type Piece } from '@anbau/core/pieces';

const key = z.string().min(1, 'must not be empty').max(200);
const ofPiece = { product: key, piece: slugSchema };
const ofTab = { product: key, houseTab: slugSchema };
const priority = z.number().int('must be a whole number').min(1).max(999);
const byHand = z.enum(['hide', 'show']);
const panel = slugSchema.nullable().default(null);

const pieceException = z.discriminatedUnion('mode', [
	z.strictObject({ ...ofPiece, mode: byHand }),
	/** An own text: of a panel by its slug, of a message without one. */
	z.strictObject({ ...ofPiece, mode: z.literal('body'), panel, body: bodyInput }),
	z.strictObject({ ...ofPiece, mode: z.literal('priority'), placement: key, priority }),
	/** An own choice in the product lists of a panel or a message. */
	z.strictObject({ ...ofPiece, mode: z.literal('products'), panel, products: z.array(key).max(50) })
]);

const tabException = z.discriminatedUnion('mode', [
	z.strictObject({ ...ofTab, mode: byHand }),
	z.strictObject({ ...ofTab, mode: z.literal('priority'), priority })
]);

export type PieceException = z.infer<typeof pieceException>;
export type TabException = z.infer<typeof tabException>;

/** One product's deviation from a piece, or from one of the theme's own tabs. */
export type Exception = PieceException | TabException;

/** The schema of an exception about the subject that an input names, so that faults are about that one. */
export function exceptionSchemaFor(input: unknown): z.ZodType<Exception> {
	const isOfTab = typeof input === 'object' && input !== null && 'houseTab' in input && !('piece' in input);
	return isOfTab ? tabException : pieceException;
}

/** Whether an exception is about one of the theme's tabs. */
export function isOfTabs(exception: Exception): exception is TabException {
	return 'houseTab' in exception;
}

/** What tells exceptions of a store apart: a later one of the same name takes the place of an earlier one. */
export function exceptionName(exception: Exception): string {
	const about = isOfTabs(exception) ? `tab ${exception.houseTab}` : `piece ${exception.piece}`;
	const where =
		exception.mode === 'priority' && !isOfTabs(exception)
			? exception.placement
			: exception.mode === 'body' || exception.mode === 'products'
				? (exception.panel ?? '')
				: '';
	// One product cannot both hide and show the same thing.
	const what = exception.mode === 'hide' || exception.mode === 'show' ? 'shown' : exception.mode;
	return JSON.stringify([exception.product, about, what, where]);
}

/** An exception in words that follow “On this product: ”. */
export function exceptionWords(exception: Exception): string {
	switch (exception.mode) {
		case 'hide':
			return 'hidden here by hand';
		case 'show':
			return 'shown here by hand';
		case 'body':
			return exception.panel === null ? 'own text' : `own text in “${exception.panel}”`;
		case 'priority':
			return `own priority ${exception.priority}`;
		case 'products':
			return exception.products.length === 0 ? 'no products in its list' : 'own products in its list';
	}
}

/**
 * A piece as one product has it: own texts in place of the shared ones, own products in its lists. What an exception
 * names and the piece no longer has is passed over.
 */
export function withExceptions(piece: Piece, own: readonly PieceException[]): Piece {
	return own.reduce((changed, exception) => {
		if (exception.mode === 'body') return withBody(changed, exception.panel, () => exception.body);
		if (exception.mode === 'products')
			return withBody(changed, exception.panel, (body) => withProducts(body, exception.products));
		return changed;
	}, piece);
}

function withBody(piece: Piece, panel: string | null, change: (body: Body) => Body): Piece {
	if (piece.kind === 'message') return panel === null ? { ...piece, body: change(piece.body) } : piece;
	if (!hasPanels(piece)) return piece;
	const changed = <Panel extends { slug: string; body: Body }>(one: Panel): Panel =>
		one.slug === panel ? { ...one, body: change(one.body) } : one;
	return piece.kind === 'tab'
		? { ...piece, panels: piece.panels.map(changed) }
		: { ...piece, panels: piece.panels.map(changed) };
}

/** A body with these products in each of its lists that a person or the catalogue fills. */
function withProducts(body: Body, keys: string[]): Body {
	return { ...body, content: body.content.map((part) => partWithProducts(part, keys)) };
}

function partWithProducts<Part extends BodyPart>(part: Part, keys: string[]): Part {
	if (part.type === 'productList') {
		if (part.attrs.source === 'recent') return part;
		const count = Math.max(1, Math.min(24, keys.length));
		return { ...part, attrs: { ...part.attrs, source: 'hand', keys, code: null, count } };
	}
	if (!('content' in part) || !Array.isArray(part.content)) return part;
	return { ...part, content: (part.content as BodyPart[]).map((child) => partWithProducts(child, keys)) };
}
