/** The documents that screens and server exchange; types only. */
export type { ImportResult } from './server/work/importCatalog.js';
export type { PieceView } from './server/work/pieces.js';
export type { Waiting } from './server/work/releases.js';
export type { StoreView } from './server/work/storeView.js';
