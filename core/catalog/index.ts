export { faultText } from './faultText.js';
export { fold } from './fold.js';
export { memo } from './memo.js';
export { decimalString, formatMoney, majorUnits, minorDigits, parseMoney } from './money.js';
export { isWithin, parseCategoryPath, slugify, withAncestors, type Category } from './category.js';
export { AVAILABILITIES, type AttributeValue, type Availability, type DocumentEntry, type Product } from './product.js';
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
export {
	appliesTo,
	ATTRIBUTE_TYPES,
	attributeCodeSchema,
	attributeSchema,
	codeOfLabel,
	type AttributeDefinition,
	type AttributeType
} from './attribute.js';
export { attributeText, isDocuments, readAttributeValue, type ValueDefinition } from './attributeValue.js';
export { isValidOn, uploadedFile } from './documents.js';
export { planConversion, type Conversion } from './convert.js';
export { fullnessOf, type Fullness } from './fullness.js';
export {
	LIST_SOURCES,
	NO_PRODUCTS,
	ProductLists,
	type ListQuery,
	type ListSource,
	type ProductSource
} from './productLists.js';
export type { Cell } from './columns.js';
