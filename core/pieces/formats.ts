/** How a value can be written: dates in four lengths or as the weekday alone, numbers and money without decimals. */
export const FORMATS = ['short', 'medium', 'long', 'full', 'weekday', 'whole'] as const;
export type Format = (typeof FORMATS)[number];

/** Texts by CLDR plural category, or by an exact number (`=0`); `#` stands for the number. */
export type PluralForms = Record<string, string>;

/** The CLDR plural categories, as `Intl.PluralRules` answers them. */
export const PLURAL_KEYS = /^(zero|one|two|few|many|other|=\d{1,9})$/;
