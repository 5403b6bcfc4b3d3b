import { styleSchema, type Style } from '@anbau/core/pieces';
import { stripSchema, type Strip } from '@anbau/core/placement';
import { one, type Db } from './pool.js';
import { storeSettingsSchema, type StoreSettings } from './storeSettings.js';

/** A store as everything else belongs to it. */
export interface Store {
	id: number;
	key: string;
	name: string;
	url: string;
	currency: string;
	locale: string;
	zone: string;
	visitorSecret: string;
	cacheSeconds: number;
	settings: StoreSettings;
	/** The draft of the store's style. */
	style: Style;
	/** The draft of how the tab strip is. */
	strip: Strip;
}

type Row = Store & { [column: string]: unknown };

const COLUMNS = `id, key, name, url, currency, locale, zone, visitor_secret AS "visitorSecret",
	cache_seconds AS "cacheSeconds", settings, style, strip`;

const storeOf = (row: Row | undefined): Store | undefined =>
	row && {
		...row,
		settings: storeSettingsSchema.parse(row.settings),
		style: styleSchema.parse(row.style),
		strip: stripSchema.parse(row.strip)
	};

export async function storeById(db: Db, id: number): Promise<Store | undefined> {
	return storeOf(await one<Row>(db, `SELECT ${COLUMNS} FROM store WHERE id = $1`, [id]));
}

export async function storeByKey(db: Db, key: string): Promise<Store | undefined> {
	return storeOf(await one<Row>(db, `SELECT ${COLUMNS} FROM store WHERE key = $1`, [key]));
}

type NewStore = Omit<Store, 'id' | 'cacheSeconds' | 'settings' | 'style' | 'strip'>;

export async function insertStore(db: Db, store: NewStore): Promise<Store> {
	const row = await one<Row>(
		db,
		`INSERT INTO store (key, name, url, currency, locale, zone, visitor_secret)
		 VALUES ($1, $2, $3, $4, $5, $6, $7) RETURNING ${COLUMNS}`,
		[store.key, store.name, store.url, store.currency, store.locale, store.zone, store.visitorSecret]
	);
	const inserted = storeOf(row);
	if (!inserted) throw new Error('the store was not inserted');
	return inserted;
}

export async function setStoreUrl(db: Db, id: number, url: string): Promise<void> {
	await db.query('UPDATE store SET url = $2 WHERE id = $1', [id, url]);
}

export async function saveStoreSettings(db: Db, id: number, settings: StoreSettings): Promise<void> {
	await db.query('UPDATE store SET settings = $2 WHERE id = $1', [id, JSON.stringify(settings)]);
}

export async function saveStoreStyle(db: Db, id: number, style: Style): Promise<void> {
	await db.query('UPDATE store SET style = $2 WHERE id = $1', [id, JSON.stringify(style)]);
}

export async function saveStoreStrip(db: Db, id: number, strip: Strip): Promise<void> {
	await db.query('UPDATE store SET strip = $2 WHERE id = $1', [id, JSON.stringify(strip)]);
}
