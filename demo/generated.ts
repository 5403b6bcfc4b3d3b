import { slugify } from '@anbau/core/catalog';
import type { DemoProduct } from './product.js';
import { randomFrom } from './random.js';
import { describeProduct } from './written.js';

interface Family {
	category: string;
	count: number;
	names: string[];
	qualities: string[];
	price: [low: number, high: number];
	tags: string[];
	summary: string;
	attributes: Record<string, string[]>;
	brand: string;
}

const VARIETIES = [
	'Amble',
	'Birchwood',
	'Copperleaf',
	'Dovecote',
	'Eastgate',
	'Fallow',
	'Gloaming',
	'Hazelhurst',
	'Inglenook',
	'Juniper Lane',
	'Kestrel',
	'Lowmoor',
	'Millrace',
	'Northfold',
	'Overwater',
	'Puddle Lane',
	'Quarry Hill',
	'Rookery',
	'Saltmarsh',
	'Thistledown'
];
const SIZES = ['small', 'medium', 'large', 'No. 1', 'No. 2', 'No. 3', 'short', 'long', 'narrow', 'wide'];

const FAMILIES: Family[] = [
	{
		category: 'Seeds > Vegetables',
		count: 34,
		names: ['Lettuce', 'Pea', 'Courgette', 'Leek', 'Kale', 'Radish', 'Onion'],
		qualities: VARIETIES,
		price: [1.9, 4.2],
		tags: ['organic seed', 'sow: March to June', 'sow: April to August'],
		summary: 'Chosen for taste and for short northern summers.',
		attributes: { sowing_depth: ['1 cm', '2 cm', '3 cm', ''], spacing: ['10 cm', '25 cm', '40 cm', ''] },
		brand: ''
	},
	{
		category: 'Seeds > Flowers',
		count: 26,
		names: ['Marigold', 'Larkspur', 'Nasturtium', 'Scabious', 'Foxglove'],
		qualities: VARIETIES,
		price: [1.8, 3.6],
		tags: ['bee-friendly', 'sow: April to June'],
		summary: 'For cutting, for bees, and for the middle of the border.',
		attributes: { sowing_depth: ['0.5 cm', '1 cm', ''], spacing: ['20 cm', '30 cm', ''] },
		brand: ''
	},
	{
		category: 'Seeds > Herbs',
		count: 12,
		names: ['Parsley', 'Dill', 'Coriander', 'Chervil'],
		qualities: VARIETIES,
		price: [1.9, 3.2],
		tags: ['organic seed'],
		summary: 'A row by the kitchen is enough for a family.',
		attributes: { sowing_depth: ['0.5 cm', '1 cm'], spacing: ['10 cm', '15 cm'] },
		brand: ''
	},
	{
		category: 'Trees & shrubs > Fruit trees',
		count: 14,
		names: ['Apple', 'Pear', 'Cherry', 'Quince'],
		qualities: VARIETIES,
		price: [28, 46],
		tags: ['bare-root', 'lead: 5 days'],
		summary: 'Two years old, on a rootstock for gardens.',
		attributes: { hardiness: ['to −20 °C', 'to −24 °C'], spacing: ['300 cm', '400 cm'] },
		brand: 'Hollowmere nursery'
	},
	{
		category: 'Trees & shrubs > Ornamental',
		count: 14,
		names: ['Spindle', 'Rowan', 'Serviceberry', 'Witch hazel'],
		qualities: VARIETIES,
		price: [19, 64],
		tags: ['bare-root', 'bee-friendly'],
		summary: 'Grown slowly and lifted in November.',
		attributes: { hardiness: ['to −20 °C', 'to −28 °C', ''] },
		brand: 'Hollowmere nursery'
	},
	{
		category: 'Bulbs > Spring',
		count: 18,
		names: ['Tulip', 'Daffodil', 'Crocus', 'Squill'],
		qualities: VARIETIES,
		price: [4.5, 12],
		tags: ['plant: September', 'bee-friendly'],
		summary: 'Firm bulbs of this summer’s harvest, by the ten.',
		attributes: { sowing_depth: ['8 cm', '12 cm', '15 cm'], spacing: ['8 cm', '12 cm'], hardiness: ['to −30 °C'] },
		brand: ''
	},
	{
		category: 'Bulbs > Summer',
		count: 12,
		names: ['Dahlia', 'Lily', 'Gladiolus'],
		qualities: VARIETIES,
		price: [3.9, 9.5],
		tags: ['plant: May'],
		summary: 'Planted after the last frost, lifted before the first.',
		attributes: { sowing_depth: ['10 cm', '12 cm'], spacing: ['30 cm', '50 cm'] },
		brand: ''
	},
	{
		category: 'Tools > Digging',
		count: 10,
		names: ['Hoe', 'Rake', 'Spade'],
		qualities: SIZES,
		price: [22, 68],
		tags: ['part: TF-05'],
		summary: 'Forged in one piece, with a handle that can be replaced.',
		attributes: { material: ['Carbon steel', 'Stainless steel'] },
		brand: 'Tarnwell Forge'
	},
	{
		category: 'Tools > Pruning',
		count: 8,
		names: ['Shears', 'Loppers', 'Pruning knife'],
		qualities: SIZES,
		price: [18, 79],
		tags: ['part: TF-06'],
		summary: 'Holds an edge for a season and takes it again in a minute.',
		attributes: { material: ['Carbon steel'] },
		brand: 'Tarnwell Forge'
	},
	{
		category: 'Soil & feed',
		count: 12,
		names: ['Potting compost', 'Tomato feed', 'Leaf mould', 'Lawn feed'],
		qualities: ['10 l', '20 l', '40 l', '60 l'],
		price: [6.5, 24],
		tags: ['peat-free', 'oversize'],
		summary: 'Made from bark, wood fibre and garden compost.',
		attributes: {},
		brand: 'Brackenhythe'
	},
	{
		category: 'Watering',
		count: 10,
		names: ['Hose', 'Rose', 'Water butt', 'Tap timer'],
		qualities: SIZES,
		price: [8, 119],
		tags: ['part: BH-77'],
		summary: 'Fits the common threads without an adapter.',
		attributes: { material: ['Brass', 'Galvanised steel', ''] },
		brand: 'Brackenhythe'
	},
	{
		category: 'Raised beds',
		count: 8,
		names: ['Willow bed', 'Steel bed', 'Oak planter'],
		qualities: SIZES,
		price: [59, 310],
		tags: ['made-to-order', 'lead: 15 days', 'oversize'],
		summary: 'Delivered flat, put together in an hour.',
		attributes: { material: ['Willow', 'Corten steel', 'Oak'] },
		brand: 'Hollowmere workshop'
	}
];

/** The generated part of the catalogue: the same products on every machine. */
export function generatedProducts(taken: ReadonlySet<string>): DemoProduct[] {
	const random = randomFrom(20270331);
	const keys = new Set(taken);
	return FAMILIES.flatMap((family) =>
		Array.from({ length: family.count }, (_, i) => generate(family, i, random, keys))
	);
}

function generate(family: Family, i: number, random: () => number, keys: Set<string>): DemoProduct {
	const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
	const name = family.names[i % family.names.length] ?? '';
	const isPlant = family.qualities === VARIETIES;
	let title = '';
	for (let turn = 0; title === '' || keys.has(slugify(title)); turn++) {
		const quality = family.qualities[(i + Math.floor(random() * 20) + turn) % family.qualities.length] ?? '';
		title = isPlant ? `${name} ‘${quality}’` : `${name}, ${quality}${turn > 12 ? ` ${turn}` : ''}`;
	}
	keys.add(slugify(title));
	const [low, high] = family.price;
	const price = Math.round((low + random() * (high - low)) * 10) / 10;
	const stock = random() < 0.08 ? 0 : Math.floor(random() * random() * 160) + 1;
	const attributes = Object.fromEntries(
		Object.entries(family.attributes).map(([code, values]) => [code, pick(values) ?? ''] as const)
	);
	const tags = family.tags
		.filter(() => random() < 0.7)
		.map((tag) => (/^part: \S+$/.test(tag) ? `${tag}${String(10 + i)}` : tag));
	return {
		key: slugify(title),
		sku: `HG-${String(5000 + keys.size * 3)}`,
		title,
		summary: family.summary,
		description: describeProduct(title, family.summary, family.category),
		price: price.toFixed(2),
		listPrice: random() < 0.15 ? (Math.round(price * 11.8) / 10).toFixed(2) : '',
		stock,
		availability: stock > 0 ? 'InStock' : 'OutOfStock',
		brand: family.brand,
		categories: [family.category],
		tags,
		created: new Date(Date.UTC(2024, 6, 1) + Math.floor(random() * 850) * 86_400_000).toISOString().slice(0, 10),
		sold30: Math.floor(random() * random() * 120),
		attributes
	};
}
