/** The documents that screens and server exchange; types only. */
export type { ImportResult } from './server/work/importCatalog.js';
export type { AttributesView } from './server/work/attributes.js';
export type { FeedView } from './server/work/feed.js';
export type { OwnIcon } from './server/work/icons.js';
export type { PieceView } from './server/work/pieces.js';
export type { Waiting } from './server/work/releases.js';
export type { StoreView } from './server/work/storeView.js';
export type { SheetAnswer, SheetOf, SheetRow } from './server/work/sheet.js';
export type { FileOutcome } from './server/work/sheetFile.js';
export type { UploadedFile } from './server/work/files.js';
export type { DraftedTheme } from './server/work/draftedTheme.js';
export type { PlanData } from './server/work/planData.js';
export type { MediaView } from './server/work/media.js';
export type { ReviewsView, ReviewView, ReviewStatistics } from './server/work/reviews.js';
export type { ReviewImport } from './server/work/importReviews.js';
export type { Starter } from './server/db/starters.js';
export type { ExceptionView } from './server/work/exceptions.js';
export type { HookView } from './server/work/hooks.js';
