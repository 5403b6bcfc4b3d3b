import { bodiesOf, textsOf, type Piece } from '@anbau/core/pieces';
import { exceptionSchemaFor, isOfTabs, type Exception, type PieceException } from '@anbau/core/placement';
import { writeAudit } from '../db/audit.js';
import { deleteException, findExceptions, saveException, type ExceptionRow } from '../db/exceptions.js';
import { allHouseTabs, houseTabBySlug } from '../db/houseTabs.js';
import { allPieces, pieceBySlug } from '../db/pieces.js';
import { database, transaction, type Db } from '../db/pool.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { storeStates } from '../state/storeStates.js';
import type { CatalogState } from '../state/catalogState.js';

/** An exception as it is listed: with what it is about in words, and whether that is gone. */
export interface ExceptionView extends ExceptionRow {
	/** The product's title; null where the product is gone. */
	productTitle: string | null;
	/** What it deviates from: the piece's library name, or the theme's tab; null where that is gone. */
	about: string | null;
}

/** The exceptions of a store, or of one product or one piece. */
export async function listExceptions(
	actor: Actor,
	wanted: { product?: string | null; piece?: string | null }
): Promise<ExceptionView[]> {
	return viewsOf(actor, await findExceptions(database(), actor.storeId, wanted));
}

async function viewsOf(actor: Actor, rows: readonly ExceptionRow[]): Promise<ExceptionView[]> {
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	const names = new Map(
		(await allPieces(database(), actor.storeId))
			.filter(({ removed }) => !removed)
			.map(({ slug, doc }) => [slug, doc.name])
	);
	const tabs = new Map((await allHouseTabs(database(), actor.storeId)).map(({ slug, name }) => [slug, name]));
	return rows.map((row) => ({
		...row,
		productTitle: catalog.product(row.exception.product)?.title ?? null,
		about: (isOfTabs(row.exception) ? tabs.get(row.exception.houseTab) : names.get(row.exception.piece)) ?? null
	}));
}

/** Lets one product deviate; what it names must be there. Pages change with the next release. */
export async function putException(actor: Actor, input: unknown): Promise<ExceptionView> {
	const exception = readBy(exceptionSchemaFor(input), input, 'The exception');
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	if (!catalog.product(exception.product))
		throw missing('/product', `There is no product with the key “${exception.product}”.`);
	const saved = await transaction(async (client) => {
		await checkSubject(client, actor, exception, catalog);
		const row = await saveException(client, actor.storeId, exception, actor.name);
		await writeAudit(client, actor, 'save', `exception ${row.id}`, null, exception);
		return row;
	});
	const [view] = await viewsOf(actor, [saved]);
	if (!view) throw new Error('one exception has one view');
	return view;
}

async function checkSubject(db: Db, actor: Actor, exception: Exception, catalog: CatalogState): Promise<void> {
	if (isOfTabs(exception)) {
		if (!(await houseTabBySlug(db, actor.storeId, exception.houseTab)))
			throw missing('/houseTab', `There is no house tab “${exception.houseTab}”.`);
		return;
	}
	const row = await pieceBySlug(db, actor.storeId, exception.piece);
	if (!row || row.removed) throw missing('/piece', `There is no piece with the slug “${exception.piece}”.`);
	const fault = faultIn(row.doc, exception, catalog);
	if (fault) throw new Problem('invalid', 422, 'The exception cannot be taken as it is.', [fault]);
}

/** What an exception names that its piece does not have. */
function faultIn(
	piece: Piece,
	exception: PieceException,
	catalog: CatalogState
): { at: string; message: string } | null {
	if (exception.mode === 'priority') {
		const found = piece.placements.some(({ id }) => id === exception.placement);
		return found ? null : { at: '/placement', message: `“${exception.placement}” is no placement of this piece` };
	}
	if (exception.mode !== 'body' && exception.mode !== 'products') return null;
	const panels = textsOf(piece).map(({ panel }) => panel);
	if (!panels.includes(exception.panel)) {
		const message =
			exception.panel === null
				? `must name a panel: ${panels.join(', ')}`
				: `“${exception.panel}” is no panel of this piece`;
		return { at: '/panel', message };
	}
	if (exception.mode === 'body') return null;
	const gone = exception.products.findIndex((key) => !catalog.product(key));
	if (gone >= 0) return { at: `/products/${gone}`, message: `“${exception.products[gone]}” is no product` };
	const hasList = JSON.stringify(bodiesOf(piece)).includes('"productList"');
	return hasList ? null : { at: '/mode', message: 'means something only for a piece with a product list' };
}

/** Takes an exception away: the product follows the library again. */
export async function dropException(actor: Actor, id: number): Promise<void> {
	await transaction(async (client) => {
		const row = await deleteException(client, actor.storeId, id);
		if (!row) throw new Problem('not-found', 404, `There is no exception ${id}.`);
		await writeAudit(client, actor, 'delete', `exception ${id}`, row.exception);
	});
}

function missing(at: string, message: string): Problem {
	return new Problem('not-found', 404, message, [{ at, message: 'names nothing that is there' }]);
}
