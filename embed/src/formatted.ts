/** A number as the page's language writes it. */
export const formatted = (value: number, locale: string, options?: Intl.NumberFormatOptions): string =>
	new Intl.NumberFormat(locale, options).format(value);
