/**
 * Folds a text for matching: Unicode NFC, no outer space, no case. Two texts match exactly when their
 * folded forms are the same string; inner space and punctuation still count.
 *
 * Source: Unicode Standard Annex #15 (normalization forms); lower-casing is the default, locale-free mapping
 * of ECMAScript, so that a Turkish browser and an English server agree.
 */
export function fold(text: string): string {
	// ASCII is in NFC already.
	if (/^[ -~]*$/.test(text)) return text.trim().toLowerCase();
	return text.normalize('NFC').trim().toLowerCase().normalize('NFC');
}
