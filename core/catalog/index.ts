export { fold } from './fold.js';
export { decimalString, formatMoney, majorUnits, minorDigits, parseMoney } from './money.js';
export { isWithin, parseCategoryPath, slugify, withAncestors, type Category } from './category.js';
export { AVAILABILITIES, type AttributeValue, type Availability, type Product } from './product.js';
export {
	attributeFactsOf,
	factsOfPage,
	factsOfProduct,
	isIsoDate,
	PAGE_KINDS,
	type AttributeFacts,
	type Facts,
	type PageKind,
	type PageRef
} from './facts.js';
export { CATALOG_COLUMNS } from './columns.js';
export {
	headerFaults,
	readRow,
	rowsReader,
	type CellFault,
	type ProductChange,
	type RawRow,
	type RowContext,
	type RowReading
} from './row.js';
export { csvLine, CsvReader, type CsvRecord } from './csv.js';
