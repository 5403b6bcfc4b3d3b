import type { HouseTab } from '@anbau/core/placement';
import { many, one, type Db } from './pool.js';

export function allHouseTabs(db: Db, storeId: number): Promise<HouseTab[]> {
	return many<HouseTab & { [column: string]: unknown }>(
		db,
		'SELECT slug, name, hidden, priority FROM house_tab WHERE store_id = $1 ORDER BY priority, slug',
		[storeId]
	);
}

export function houseTabBySlug(db: Db, storeId: number, slug: string): Promise<HouseTab | undefined> {
	return one<HouseTab & { [column: string]: unknown }>(
		db,
		'SELECT slug, name, hidden, priority FROM house_tab WHERE store_id = $1 AND slug = $2',
		[storeId, slug]
	);
}

export async function saveHouseTab(db: Db, storeId: number, tab: HouseTab): Promise<void> {
	await db.query(
		`INSERT INTO house_tab (store_id, slug, name, hidden, priority) VALUES ($1, $2, $3, $4, $5)
		 ON CONFLICT (store_id, slug) DO UPDATE SET name = excluded.name, hidden = excluded.hidden, priority = excluded.priority`,
		[storeId, tab.slug, tab.name, tab.hidden, tab.priority]
	);
}
