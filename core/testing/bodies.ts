import fc from 'fast-check';
import { LIST_SOURCES } from '@anbau/core/catalog';
import { FORMATS, ICON_NAMES, PLAIN_VALUES, type Body, type BodyPart } from '@anbau/core/pieces';

/** Bodies of every part, as the editor writes them. */
const words = fc.constantFrom('a', 'Oak & larch', "it's {plain}", '<b>', '** **', 'ß 木', '1. x');
const template = fc.constantFrom('Ask us', '{product.title}', 'Only {product.stock}', "it''s");
const address = fc.constantFrom('/pages/a', 'https://shop.example/?q={product.sku}', '{product.url}', 'tel:+49');
const codes = fc.uniqueArray(fc.constantFrom('material', 'depth', 'manuals', 'nothing'), { maxLength: 3 });
const mark = fc.oneof(
	fc.record({ type: fc.constantFrom('bold', 'italic', 'underline', 'strike') }),
	fc.record({ type: fc.constant('link'), attrs: fc.record({ href: address }) })
);
const marks = fc.uniqueArray(mark, { minLength: 1, maxLength: 2, selector: (one) => one.type });
const withMarks = <T extends object>(node: fc.Arbitrary<T>) =>
	fc.tuple(node, fc.option(marks, { nil: undefined })).map(([own, some]) => (some ? { ...own, marks: some } : own));
const name = fc.constantFrom(
	...PLAIN_VALUES.map((one) => one.name),
	'tag.part',
	'tag.lead time',
	'attribute.material',
	'attribute.depth'
);
const liveValue = fc.record({
	type: fc.constant('liveValue'),
	attrs: fc.record({
		name,
		fallback: fc.constantFrom(null, 'nothing yet'),
		format: fc.option(fc.constantFrom(...FORMATS)),
		forms: fc.constantFrom(null, { one: '# piece', other: '# pieces' })
	})
});
const inline = fc.oneof(
	{ weight: 3, arbitrary: withMarks(fc.record({ type: fc.constant('text'), text: words })) },
	{ weight: 2, arbitrary: withMarks(liveValue) },
	{ weight: 1, arbitrary: fc.constant({ type: 'hardBreak' }) }
);
const line = fc.array(inline, { minLength: 1, maxLength: 3 });
const withLine = <T extends object>(node: fc.Arbitrary<T>) =>
	fc.tuple(node, fc.option(line, { nil: undefined })).map(([own, content]) => (content ? { ...own, content } : own));
const paragraph = withLine(fc.constant({ type: 'paragraph' }));
const atom = <T>(type: BodyPart['type'], attrs: fc.Arbitrary<T>) => fc.record({ type: fc.constant(type), attrs });

const LEAVES = [
	paragraph,
	withLine(fc.record({ type: fc.constant('heading'), attrs: fc.record({ level: fc.constantFrom(2, 3, 4) }) })),
	fc.constant({ type: 'horizontalRule' }),
	atom('image', fc.record({ src: fc.constantFrom('/a.png', '{product.image}'), alt: words, title: fc.constant(null) })),
	atom('button', fc.record({ label: template, href: address })),
	atom('attributeTable', fc.record({ codes })),
	atom('documentList', fc.record({ codes })),
	atom(
		'pictureRow',
		fc.record({ pictures: fc.array(fc.record({ src: fc.constant('/b.png'), alt: words }), { maxLength: 2 }) })
	),
	atom(
		'productList',
		fc.record({
			source: fc.constantFrom(...LIST_SOURCES),
			keys: fc.constantFrom([], ['spade']),
			code: fc.constantFrom(null, 'goes_with'),
			count: fc.integer({ min: 1, max: 24 }),
			heading: fc.oneof(template, fc.constant(''))
		})
	),
	atom('rawHtml', fc.record({ html: fc.constantFrom('<p>x</p>', '') })),
	atom(
		'snippet',
		fc.record({ title: fc.constant('Counter'), code: fc.constantFrom('<i>x</i>', ''), height: fc.constant(90) })
	),
	fc.record({
		type: fc.constant('iconList'),
		attrs: fc.record({
			direction: fc.constantFrom('column', 'row'),
			size: fc.constant(24),
			colour: fc.constantFrom(null, '#2c5b43')
		}),
		content: fc.array(
			withLine(
				fc.record({
					type: fc.constant('iconItem'),
					attrs: fc.record({ icon: fc.option(fc.constantFrom(...ICON_NAMES)) })
				})
			),
			{ minLength: 1, maxLength: 3 }
		)
	})
];

const several = <T>(one: fc.Arbitrary<T>, minLength = 1) => fc.array(one, { minLength, maxLength: 3 });

const parts = fc.letrec<{ part: object; inside: object[] }>((tie) => {
	const holding = (type: string, attrs?: fc.Arbitrary<object>) =>
		fc.record({ type: fc.constant(type), ...(attrs ? { attrs } : {}), content: tie('inside') });
	const item = fc
		.tuple(paragraph, fc.array(tie('part'), { maxLength: 1 }))
		.map(([first, rest]) => ({ type: 'listItem', content: [first, ...rest] }));
	const cellAttrs = fc.constant({ colspan: 1, rowspan: 1, colwidth: null });
	const row = (type: string) =>
		fc.record({
			type: fc.constant('tableRow'),
			content: fc.tuple(holding(type, cellAttrs), holding(type, cellAttrs))
		});
	return {
		inside: several(tie('part')),
		part: fc.oneof(
			{ depthSize: 'small', maxDepth: 3 },
			...LEAVES,
			holding('blockquote'),
			fc.record({ type: fc.constant('bulletList'), content: several(item) }),
			fc.record({
				type: fc.constant('orderedList'),
				attrs: fc.record({ start: fc.constantFrom(1, 3), type: fc.constant(null) }),
				content: several(item)
			}),
			fc.record({
				type: fc.constant('table'),
				content: fc.tuple(row('tableHeader'), row('tableCell'))
			}),
			fc.record({ type: fc.constant('columns'), content: fc.array(holding('column'), { minLength: 2, maxLength: 4 }) }),
			holding('dialogButton', fc.record({ label: template })),
			fc.record({
				type: fc.constant('accordion'),
				attrs: fc.record({ many: fc.boolean(), open: fc.constantFrom('first', 'none') }),
				content: several(holding('accordionPanel', fc.record({ heading: template })))
			})
		)
	};
});

export const body: fc.Arbitrary<Body> = parts.inside.map((content) => ({ type: 'doc', content }) as unknown as Body);
