/** The result of reading a decimal text: the number, or a plain sentence saying why it is none. */
export type DecimalReading = { ok: true; value: number } | { ok: false; reason: string };

const digitsOf = new Map<string, number>();

/**
 * The number of minor-unit digits of an ISO 4217 currency (EUR 2, JPY 0, KWD 3), from CLDR through Intl.
 * Throws a RangeError when the code is not three letters.
 */
export function minorDigits(currency: string): number {
	let digits = digitsOf.get(currency);
	if (digits === undefined) {
		const options = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions();
		digits = options.maximumFractionDigits ?? 2;
		digitsOf.set(currency, digits);
	}
	return digits;
}

/** Minor units as major units (cents as euros): 4990 EUR is 49.9, the double nearest to the exact amount. */
export function majorUnits(minor: number, currency: string): number {
	return minor / 10 ** minorDigits(currency);
}

const formatters = new Map<string, Intl.NumberFormat>();

/** Minor units as a person reads them in a locale: 114900 EUR in `en` is `€1,149.00`. */
export function formatMoney(minor: number, currency: string, locale: string): string {
	const id = `${locale} ${currency}`;
	let formatter = formatters.get(id);
	if (!formatter) {
		formatter = new Intl.NumberFormat(locale, { style: 'currency', currency });
		formatters.set(id, formatter);
	}
	return formatter.format(majorUnits(minor, currency));
}

/** Minor units as the decimal string of the catalogue columns: 114900 EUR is `1149.00`. */
export function decimalString(minor: number, currency: string): string {
	return majorUnits(minor, currency).toFixed(minorDigits(currency));
}

/**
 * Reads an amount of money written with a decimal point or a decimal comma, with or without grouping, into
 * whole minor units. An amount that can be read in two ways (`1.149` in a currency with two decimals) is refused
 * rather than guessed.
 */
export function parseMoney(text: string, currency: string): DecimalReading {
	const digits = minorDigits(currency);
	const plain = /^(-?)(\d{1,12})(?:[.,](\d+))?$/.exec(text);
	const [sign, whole, fraction] = plain ? [plain[1], plain[2], plain[3] ?? ''] : splitGrouped(text);
	if (whole === undefined || fraction === undefined) return refuse(`“${text}” is not an amount of money`);
	if (sign === '-') return refuse(`“${text}” is below zero`);
	if (plain && fraction.length === 3 && digits !== 3 && /^[1-9]\d{0,2}$/.test(whole)) {
		if (digits === 0) return { ok: true, value: Number(whole + fraction) };
		return refuse(`“${text}” can be read in two ways; write ${whole}${fraction} or ${whole}.${fraction.slice(0, 2)}`);
	}
	if (fraction.length > digits && /[1-9]/.test(fraction.slice(digits))) {
		return refuse(`“${text}” has more decimals than ${currency} has (${digits})`);
	}
	return { ok: true, value: Number(whole + fraction.slice(0, digits).padEnd(digits, '0')) };
}

function splitGrouped(text: string): [string?, string?, string?] {
	const grouped = /^(-?)(\d{1,3}(?:([.,'’\u00a0\u202f ])\d{3})(?:\3\d{3}){0,2})(?:([.,])(\d+))?$/.exec(text);
	if (!grouped || grouped[3] === grouped[4]) return [];
	return [grouped[1], grouped[2]?.replace(/\D/g, ''), grouped[5] ?? ''];
}

function refuse(reason: string): DecimalReading {
	return { ok: false, reason };
}
