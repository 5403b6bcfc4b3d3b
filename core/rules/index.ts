export {
	attributeCode,
	COMPARISONS,
	EVERY_PRODUCT,
	isAttributeLeaf,
	isLeaf,
	isNumberLeaf,
	leavesOf,
	MAX_DEPTH,
	MAX_LEAVES,
	NUMBER_FIELDS,
	ONLY_BY_HAND,
	ruleShape,
	type AttributeLeaf,
	type Comparison,
	type Leaf,
	type NumberField,
	type NumberLeaf,
	type Rule
} from './grammar.js';
export { parseRule, type RuleFault, type RuleReading } from './parse.js';
export { compileRule, evaluate, type Predicate } from './evaluate.js';
export { Bitset } from './bitset.js';
export { CatalogIndex } from './catalogIndex.js';
export { packCatalog, type IndexedProduct, type PackedCatalog } from './packedCatalog.js';
export { reach, reachByCategory } from './reach.js';
export { availabilityWords, comparisonWords, describe, describeLeaf, type Names } from './describe.js';
export { simplify } from './simplify.js';
export { emptySentence, fromSentence, toSentence, type Joining, type Sentence, type Stretch } from './sentence.js';
export { smallestFlip } from './flip.js';
export { explainRule, type FoundNearMiss, type LeafVerdict, type RuleExplanation } from './explain.js';
export { goneNames, meantTags, type GoneName, type MeantTag } from './findings.js';
export { nearMiss, nearMissPrefix, type NearMiss } from './nearMiss.js';
