import type { HouseTab } from '@anbau/core/placement';
import { many, one, type Db } from './pool.js';

type Row = HouseTab & { [column: string]: unknown };
const COLUMNS = 'slug, name, hidden, priority, icon, binding';

export function allHouseTabs(db: Db, storeId: number): Promise<HouseTab[]> {
	const text = `SELECT ${COLUMNS} FROM house_tab WHERE store_id = $1 ORDER BY priority, slug`;
	return many<Row>(db, text, [storeId]);
}

export function houseTabBySlug(db: Db, storeId: number, slug: string): Promise<HouseTab | undefined> {
	return one<Row>(db, `SELECT ${COLUMNS} FROM house_tab WHERE store_id = $1 AND slug = $2`, [storeId, slug]);
}

export async function saveHouseTab(db: Db, storeId: number, tab: HouseTab): Promise<void> {
	await db.query(
		`INSERT INTO house_tab (store_id, slug, name, hidden, priority, icon, binding) VALUES ($1, $2, $3, $4, $5, $6, $7)
		 ON CONFLICT (store_id, slug) DO UPDATE SET name = excluded.name, hidden = excluded.hidden,
		   priority = excluded.priority, icon = excluded.icon, binding = excluded.binding`,
		[storeId, tab.slug, tab.name, tab.hidden, tab.priority, tab.icon, tab.binding]
	);
}

export async function deleteHouseTab(db: Db, storeId: number, slug: string): Promise<boolean> {
	const result = await db.query('DELETE FROM house_tab WHERE store_id = $1 AND slug = $2', [storeId, slug]);
	return result.rowCount === 1;
}
