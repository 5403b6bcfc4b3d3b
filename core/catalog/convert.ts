import { attributeText, readAttributeValue, type ValueDefinition } from './attributeValue.js';
import type { AttributeValue } from './product.js';

/** What becomes of the values of an attribute when its definition changes. */
export interface Conversion {
	/** Values that change, by the key of who has them. */
	changed: { key: string; from: AttributeValue; to: AttributeValue }[];
	/** Values that stay as they are. */
	kept: number;
	/** Values that the new definition cannot take, and why. */
	lost: { key: string; from: AttributeValue; reason: string }[];
}

/**
 * Plans the change of an attribute's type, unit or choices: each value is read anew from its text by the new
 * definition. Nothing is changed here.
 */
export function planConversion(
	values: Iterable<{ key: string; value: AttributeValue }>,
	to: ValueDefinition
): Conversion {
	const plan: Conversion = { changed: [], kept: 0, lost: [] };
	for (const { key, value } of values) {
		const reading = readAttributeValue(to, attributeText(value));
		if (!reading.ok) plan.lost.push({ key, from: value, reason: reading.reason });
		else if (reading.value === null || JSON.stringify(reading.value) === JSON.stringify(value)) plan.kept++;
		else plan.changed.push({ key, from: value, to: reading.value });
	}
	return plan;
}
