import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	CsvReader,
	csvLine,
	decimalString,
	fold,
	formatMoney,
	headerFaults,
	minorDigits,
	parseCategoryPath,
	parseMoney,
	readRow,
	slugify,
	type CsvRecord,
	type RawRow
} from '@anbau/core/catalog';

describe('money', () => {
	it.each([
		['1149', 'EUR', 114900],
		['1149.00', 'EUR', 114900],
		['1149,5', 'EUR', 114950],
		['1,149.00', 'EUR', 114900],
		['1.149,00', 'EUR', 114900],
		['1 149,00', 'EUR', 114900],
		['1’149.00', 'CHF', 114900],
		['1.149.000', 'EUR', 114900000],
		['0.10', 'EUR', 10],
		['2.500', 'KWD', 2500],
		['1,149', 'JPY', 1149],
		['19.990', 'EUR', 'two ways'],
		['1,149', 'EUR', 'two ways'],
		['0.125', 'EUR', 'more decimals'],
		['-3', 'EUR', 'below zero'],
		['1234567890123', 'EUR', 'not an amount'],
		['999.999.999.999,99', 'EUR', 99999999999999],
		['12 apples', 'EUR', 'not an amount'],
		['1,1,1', 'EUR', 'not an amount'],
		['', 'EUR', 'not an amount']
	])('%j in %s is %j', (text, currency, expected) => {
		const reading = parseMoney(text, currency);
		if (typeof expected === 'number') expect(reading).toEqual({ ok: true, value: expected });
		else expect(reading).toMatchObject({ ok: false, reason: expect.stringContaining(expected) as string });
	});

	// ISO 4217 lists the minor units; the values are from memory of the standard's table A.1.
	it.each([
		['JPY', 0, '¥1,234'],
		['EUR', 2, '€1,234.00'],
		['KWD', 3, 'KWD 1,234.000']
	])('%s has %i decimals', (currency, digits, written) => {
		expect(minorDigits(currency)).toBe(digits);
		const minor = 1234 * 10 ** digits;
		expect(formatMoney(minor, currency, 'en').replace(/\u00a0/g, ' ')).toBe(written);
		expect(parseMoney(decimalString(minor, currency), currency)).toEqual({ ok: true, value: minor });
	});
});

describe('words', () => {
	it('fold alike whatever their case, outer space and Unicode form', () => {
		expect(fold(' Cafe\u0301 ')).toBe(fold('CAFÉ'));
		expect(fold('made-to-order')).not.toBe(fold('made to order'));
		fc.assert(
			fc.property(fc.string({ unit: 'grapheme' }), (text) => {
				expect(fold(fold(text))).toBe(fold(text));
			})
		);
	});

	it('become slugs, and paths of titles become category keys', () => {
		expect(slugify('Trees & shrubs')).toBe('trees-and-shrubs');
		expect(slugify('Straße Ünder')).toBe('strasse-under');
		expect(parseCategoryPath('Seeds > Vegetables')).toEqual([
			{ key: 'seeds', title: 'Seeds', description: '', parent: null },
			{ key: 'seeds/vegetables', title: 'Vegetables', description: '', parent: 'seeds' }
		]);
		expect(parseCategoryPath('Seeds > ')).toBeNull();
	});
});

/** Reads a text in pieces of a length. */
function readCsv(text: string, pieces = text.length || 1): CsvRecord[] {
	const reader = new CsvReader();
	const records: CsvRecord[] = [];
	for (let i = 0; i < text.length; i += pieces) records.push(...reader.push(text.slice(i, i + pieces)));
	return [...records, ...reader.end()];
}
const cellsOf = (text: string) => readCsv(text).map((record) => record.cells);

describe('CSV', () => {
	// The numbered definitions of RFC 4180, section 2, with the examples that stand there.
	it.each([
		[
			'1: records on lines',
			'aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n',
			[
				['aaa', 'bbb', 'ccc'],
				['zzz', 'yyy', 'xxx']
			]
		],
		[
			'2: no last line break',
			'aaa,bbb,ccc\r\nzzz,yyy,xxx',
			[
				['aaa', 'bbb', 'ccc'],
				['zzz', 'yyy', 'xxx']
			]
		],
		[
			'5: some fields quoted',
			'"aaa","bbb","ccc"\r\nzzz,yyy,xxx',
			[
				['aaa', 'bbb', 'ccc'],
				['zzz', 'yyy', 'xxx']
			]
		],
		[
			'6: line breaks and commas in quotes',
			'"aaa","b\r\nbb","ccc"\r\nzzz,yyy,xxx',
			[
				['aaa', 'b\r\nbb', 'ccc'],
				['zzz', 'yyy', 'xxx']
			]
		],
		['7: a quote is written twice', '"aaa","b""bb","ccc"', [['aaa', 'b"bb', 'ccc']]]
	])('RFC 4180, 2.%s', (_, text, expected) => expect(cellsOf(text)).toEqual(expected));

	it.each([',', ';', '\t'])('finds the separator %j, with and without a byte order mark', (separator) => {
		const text = ['key', 'title'].join(separator) + '\n' + ['a', '"x, y; z"'].join(separator);
		expect(cellsOf(text)).toEqual([
			['key', 'title'],
			['a', 'x, y; z']
		]);
		expect(cellsOf(`\ufeff${text}`)).toEqual(cellsOf(text));
	});

	it('reads the same in whatever pieces it arrives, and writes what it reads', () => {
		const cell = fc.stringMatching(/^[a-z",;\n]{0,6}$/);
		const row = fc.tuple(
			cell,
			cell,
			cell.map((text) => `x${text}`)
		);
		fc.assert(
			fc.property(fc.array(row, { minLength: 1, maxLength: 6 }), fc.integer({ min: 1, max: 9 }), (rows, pieces) => {
				const text = ['k,l,m', ...rows.map((cells) => csvLine(cells))].join('\r\n');
				expect(readCsv(text, pieces).map((record) => record.cells)).toEqual([['k', 'l', 'm'], ...rows]);
			})
		);
	});

	it('tells the line of every record and goes on after one that cannot be read', () => {
		const text = 'key,title\na,"two\nlines"\nb,"never closed\nc,Third\n\nd,"x"y\ne,Last\nf,"open\ng,End';
		const [unclosed, misplaced] = [
			expect.stringContaining('never closed') as string,
			expect.stringContaining('wrong place') as string
		];
		for (const pieces of [1, 7, 1000]) {
			expect(readCsv(text, pieces)).toEqual([
				{ line: 1, cells: ['key', 'title'], fault: null },
				{ line: 2, cells: ['a', 'two\nlines'], fault: null },
				{ line: 4, cells: [], fault: misplaced },
				{ line: 5, cells: ['c', 'Third'], fault: null },
				{ line: 7, cells: [], fault: misplaced },
				{ line: 8, cells: ['e', 'Last'], fault: null },
				{ line: 9, cells: [], fault: unclosed },
				{ line: 10, cells: ['g', 'End'], fault: null }
			]);
		}
	});
});

const read = (row: RawRow) => readRow(row, { currency: 'EUR', onCategories: () => undefined });

describe('a catalogue row', () => {
	it('keeps absent columns and clears empty ones', () => {
		expect(read({ key: 'a', price: '', tags: '', title: 'A' })).toEqual({
			ok: true,
			change: { key: 'a', price: null, tags: [], title: 'A' }
		});
	});

	it('is the same from CSV texts and from JSON values', () => {
		const csv = {
			key: 'a',
			price: '1.149,00',
			stock: '3',
			visible: 'no',
			tags: 'x| y |x',
			categories: 'Seeds > Herbs',
			created: '2026-02-28',
			'attribute.size': 'a|b'
		};
		const json = {
			key: 'a',
			price: '1149.00',
			stock: 3,
			visible: false,
			tags: ['x', 'y'],
			categories: ['Seeds > Herbs'],
			created: '2026-02-28T00:00:00Z',
			'attribute.size': ['a', 'b']
		};
		expect(read(csv)).toEqual(read(json));
		expect(read(csv)).toMatchObject({
			ok: true,
			change: { price: 114900, stock: 3, visible: false, tags: ['x', 'y'], categories: ['seeds/herbs'] }
		});
	});

	it('lists every fault with its column', () => {
		const reading = read({
			key: ' ',
			title: '',
			price: '19.990',
			stock: 'many',
			availability: 'Maybe',
			created: '2026-02-31',
			url: 'javascript:alert(1)',
			images: [1],
			colour: 'red',
			currency: 'EURO'
		});
		expect(reading.ok ? [] : reading.faults.map((fault) => fault.column)).toEqual([
			'key',
			'title',
			'price',
			'stock',
			'availability',
			'created',
			'url',
			'images',
			'colour',
			'currency'
		]);
	});

	it('of a file needs a header of known columns', () => {
		expect(headerFaults(['key', 'title', 'attribute.sowing_depth'])).toEqual([]);
		expect(
			headerFaults(['Key', 'list_price', 'title', 'title']).map(({ column, reason }) => [
				column,
				/is meant|twice|missing/.exec(reason)?.[0]
			])
		).toEqual([
			['Key', 'is meant'],
			['list_price', 'is meant'],
			['title', 'twice'],
			['key', 'missing']
		]);
	});
});
