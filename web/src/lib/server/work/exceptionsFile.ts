import { csvLine } from '@anbau/core/catalog';
import { bodyToMarkdown } from '@anbau/core/pieces';
import { isOfTabs, type Exception } from '@anbau/core/placement';
import type { Actor } from '../db/users.js';
import { listExceptions, type ExceptionView } from './exceptions.js';

const COLUMNS = 'product title piece houseTab mode panel placement priority products text created by'.split(' ');

/** Every exception as CSV (RFC 4180), own texts as Markdown. */
export async function exceptionsFile(actor: Actor): Promise<string> {
	const rows = (await listExceptions(actor, {})).map(valuesOf);
	return [COLUMNS, ...rows.map((row) => COLUMNS.map((name) => String(row[name] ?? '')))]
		.map((cells) => `${csvLine(cells)}\r\n`)
		.join('');
}

function valuesOf({ exception, productTitle, created, by }: ExceptionView): Record<string, string | number | null> {
	const subject: Record<string, string> = isOfTabs(exception)
		? { houseTab: exception.houseTab }
		: { piece: exception.piece };
	const { product, mode } = exception;
	return { product, title: productTitle, mode, ...subject, ...detailsOf(exception), created, by };
}

function detailsOf(exception: Exception): Record<string, string | number | null> {
	switch (exception.mode) {
		case 'body':
			return { panel: exception.panel, text: bodyToMarkdown(exception.body).markdown };
		case 'products':
			return { panel: exception.panel, products: exception.products.join('|') };
		case 'priority':
			return { placement: isOfTabs(exception) ? null : exception.placement, priority: exception.priority };
		default:
			return {};
	}
}
