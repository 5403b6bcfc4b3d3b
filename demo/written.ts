import { slugify } from '@anbau/core/catalog';
import type { DemoProduct } from './product.js';

const GREENHOUSES = 'Greenhouses & frames > Greenhouses';
const FRAMES = 'Greenhouses & frames > Cold frames';
const BEDS = 'Raised beds';
const BENCHES = 'Benches';
const VEGETABLES = 'Seeds > Vegetables';
const FLOWERS = 'Seeds > Flowers';
const HERBS = 'Seeds > Herbs';
const FRUIT = 'Trees & shrubs > Fruit trees';
const HEDGING = 'Trees & shrubs > Hedging';
const DIGGING = 'Tools > Digging';
const PRUNING = 'Tools > Pruning';
const SOIL = 'Soil & feed';
const WATERING = 'Watering';
const SPRING = 'Bulbs > Spring';
const SUMMER = 'Bulbs > Summer';

/** Title, category, price, stock, tags, summary, and what else the product has. */
type Written = [title: string, category: string, price: string, stock: number, tags: string, summary: string, more?: Partial<DemoProduct>];

const lead = (days: number) => `made-to-order|lead: ${days} days`;

/** The products that were written out with care. */
const WRITTEN: Written[] = [
	['Lindow greenhouse 6 × 8', GREENHOUSES, '1149.00', 2, `${lead(15)}|oversize|part: HM-2231`, 'Toughened glass, powder-coated frame, two roof vents.', { brand: 'Quillmoss', listPrice: '1299.00', attributes: { material: 'Aluminium', glazing: 'Toughened glass, 4 mm' } }],
	['Lindow greenhouse 8 × 10', GREENHOUSES, '1590.00', 1, `${lead(20)}|oversize|part: HM-2232`, 'The wide Lindow, with a double door and four roof vents.', { brand: 'Quillmoss', attributes: { material: 'Aluminium', glazing: 'Toughened glass, 4 mm' } }],
	['Tarn lean-to greenhouse', GREENHOUSES, '879.00', 4, `${lead(15)}|oversize|part: HM-2240`, 'Stands against a warm wall and needs only four feet of depth.', { brand: 'Quillmoss', attributes: { material: 'Aluminium', glazing: 'Polycarbonate, 6 mm' } }],
	['Ashlap cedar greenhouse', GREENHOUSES, '2890.00', 0, `${lead(30)}|oversize`, 'Western cedar, built by two people in our own workshop.', { brand: 'Hollowmere workshop', availability: 'MadeToOrder', attributes: { material: 'Cedar', glazing: 'Toughened glass, 4 mm' } }],
	['Polytunnel Fenland 3 m', GREENHOUSES, '349.00', 11, 'oversize|part: HM-2260', 'Galvanised hoops and a five-year cover.', { brand: 'Quillmoss', attributes: { material: 'Galvanised steel' } }],
	['Cold frame 60', FRAMES, '89.00', 14, 'part: HM-1106', 'A two-light frame for hardening off, sixty centimetres deep.', { brand: 'Quillmoss', attributes: { material: 'Pine', glazing: 'Polycarbonate, 4 mm' } }],
	['Cold frame 90 with vent', FRAMES, '129.00', 6, 'part: HM-1109', 'The larger frame, with an opener that needs no power.', { brand: 'Quillmoss', listPrice: '149.00', attributes: { material: 'Larch', glazing: 'Polycarbonate, 4 mm' } }],
	['Brick-base cold frame kit', FRAMES, '219.00', 3, `${lead(10)}`, 'Lights and ironwork for a frame on your own brick base.', { brand: 'Hollowmere workshop', attributes: { material: 'Larch' } }],
	['Larch raised bed 120 × 80', BEDS, '119.00', 22, 'oversize', 'Untreated larch boards, bolted at the corners.', { brand: 'Hollowmere workshop', attributes: { material: 'Larch' } }],
	['Larch raised bed 180 × 80', BEDS, '159.00', 9, 'oversize', 'The long bed, with a middle brace that keeps the sides straight.', { brand: 'Hollowmere workshop', attributes: { material: 'Larch' } }],
	['Corten steel bed, round', BEDS, '289.00', 4, `made to order|lead: 15 days|oversize`, 'Rusts to a warm brown in one season and then no further.', { brand: 'Brackenhythe', attributes: { material: 'Corten steel' } }],
	['Balcony planter Sill', BEDS, '49.00', 31, 'peat-free', 'A planter that hangs on a rail up to six centimetres wide.', { brand: 'Brackenhythe', attributes: { material: 'Galvanised steel' } }],
	['Orchard bench, two-seat', BENCHES, '329.00', 5, `${lead(12)}|oversize`, 'Oak, with a back that follows yours.', { brand: 'Hollowmere workshop', attributes: { material: 'Oak' } }],
	['Orchard bench, three-seat', BENCHES, '419.00', 2, `${lead(12)}|oversize`, 'The same oak bench, with room for a third.', { brand: 'Hollowmere workshop', listPrice: '459.00', attributes: { material: 'Oak' } }],
	['Tree seat, half round', BENCHES, '549.00', 0, `made to order|lead: 25 days|oversize`, 'Six segments that close round a trunk of up to 60 cm.', { brand: 'Hollowmere workshop', availability: 'MadeToOrder', attributes: { material: 'Larch' } }],
	['Folding bench Lock', BENCHES, '139.00', 17, '', 'Folds flat and hangs on a hook for the winter.', { brand: 'Brackenhythe', attributes: { material: 'Powder-coated steel' } }],
	['Carrot ‘Amber Row’', VEGETABLES, '2.60', 240, 'organic seed|sow: March to July', 'Sweet, blunt-ended roots for stony soils.', { attributes: { sowing_depth: '1 cm', spacing: '5 cm' } }],
	['Beetroot ‘Dusk Globe’', VEGETABLES, '2.40', 180, 'organic seed|sow: April to July', 'Deep red, slow to bolt, good young or stored.', { attributes: { sowing_depth: '2 cm', spacing: '10 cm' } }],
	['Climbing bean ‘Harlow Tall’', VEGETABLES, '3.20', 95, 'sow: May to June', 'Long stringless pods on poles of two metres.', { attributes: { sowing_depth: '4 cm', spacing: '20 cm' } }],
	['Tomato ‘Wren’s Gold’', VEGETABLES, '3.60', 12, 'organic seed|sow: February to April', 'Yellow cherry tomatoes until the first frost.', { attributes: { sowing_depth: '1 cm', spacing: '50 cm' } }],
	['Spinach ‘Early Fold’', VEGETABLES, '2.20', 0, 'sow: February to May', 'First leaves of the year under a frame.', { availability: 'OutOfStock', attributes: { sowing_depth: '2 cm' } }],
	['Cornflower mix ‘Skylight’', FLOWERS, '2.10', 140, 'bee friendly|sow: March to May', 'Blues and whites for cutting, self-sown the next year.', { attributes: { sowing_depth: '1 cm', spacing: '20 cm' } }],
	['Sunflower ‘Barnlight’', FLOWERS, '2.80', 77, 'bee-friendly|sow: April to June', 'Two metres tall with a single, heavy head.', { attributes: { sowing_depth: '2 cm', spacing: '45 cm' } }],
	['Poppy ‘Paper Lantern’', FLOWERS, '2.30', 64, 'bee-friendly|sow: September', 'Sown in autumn, flowers before midsummer.', { attributes: { spacing: '25 cm' } }],
	['Basil ‘Kitchen Door’', HERBS, '2.50', 88, 'organic seed', 'Small leaves, branches by itself.', { attributes: { sowing_depth: '0.5 cm', spacing: '15 cm' } }],
	['Thyme, creeping', HERBS, '2.90', 41, 'bee-friendly', 'Between paving stones, with a scent at every step.', { attributes: { spacing: '20 cm' } }],
	['Apple ‘Hollowmere Russet’', FRUIT, '34.00', 18, 'bare-root|lead: 5 days', 'Our own russet, raised here in the orchard.', { brand: 'Hollowmere nursery', attributes: { hardiness: 'to −25 °C', spacing: '4 m' } }],
	['Pear ‘Winter Bell’', FRUIT, '36.00', 9, 'bare-root|lead: 5 days', 'Picked in October, ripe at Christmas.', { brand: 'Hollowmere nursery', attributes: { hardiness: 'to −22 °C', spacing: '4 m' } }],
	['Plum ‘Garth Blue’', FRUIT, '33.00', 4, 'bare root|lead: 5 days', 'Self-fertile, heavy every second year.', { brand: 'Hollowmere nursery', attributes: { hardiness: 'to −24 °C', spacing: '3.5 m' } }],
	['Hornbeam hedging, 60–80 cm', HEDGING, '2.40', 900, 'bare-root', 'Keeps its brown leaves until spring.', { brand: 'Hollowmere nursery', attributes: { hardiness: 'to −30 °C', spacing: '30 cm' } }],
	['Field maple hedging, 60–80 cm', HEDGING, '2.20', 640, 'bare-root|bee-friendly', 'Golden in autumn and home to a hundred insects.', { brand: 'Hollowmere nursery', attributes: { hardiness: 'to −28 °C' } }],
	['Border spade, ash handle', DIGGING, '46.00', 26, 'part: TF-0140', 'A forged head on a split-ash handle, 98 cm.', { brand: 'Tarnwell Forge', attributes: { material: 'Carbon steel' } }],
	['Digging fork, four tines', DIGGING, '52.00', 19, 'part: TF-0152|part: TF-0153', 'Square tines that do not bend on stones.', { brand: 'Tarnwell Forge', attributes: { material: 'Carbon steel' } }],
	['Hand trowel, narrow', DIGGING, '17.00', 58, 'part: TF-0101', 'Narrow enough for bulbs and between plants.', { brand: 'Tarnwell Forge', listPrice: '19.50', attributes: { material: 'Stainless steel' } }],
	['Pruning saw, folding', PRUNING, '29.00', 33, 'part: TF-0310', 'Cuts on the pull, folds into its own handle.', { brand: 'Tarnwell Forge', attributes: { material: 'Carbon steel' } }],
	['Secateurs No. 4', PRUNING, '39.00', 3, 'part: TF-0320', 'Every part can be replaced, and we stock them all.', { brand: 'Tarnwell Forge', attributes: { material: 'Carbon steel' } }],
	['Seed compost, 40 l', SOIL, '11.90', 75, 'peat-free|oversize', 'Fine, low in salts, from bark and green waste.', { brand: 'Brackenhythe' }],
	['Orchard feed, 5 kg', SOIL, '18.50', 40, 'peat free', 'Slow feed for fruit trees, once in March.', { brand: 'Brackenhythe', listPrice: '21.00' }],
	['Watering can, 9 l', WATERING, '34.00', 15, 'part: BH-7702', 'Galvanised, with a brass rose that comes off.', { brand: 'Brackenhythe', attributes: { material: 'Galvanised steel' } }],
	['Drip hose set, 25 m', WATERING, '42.00', 8, 'part: BH-7750', 'Waters a bed by night with a third of the water.', { brand: 'Brackenhythe' }],
	['Snowdrop, 25 bulbs', SPRING, '7.90', 120, 'bee-friendly|plant: September', 'The first thing that flowers here, every year.', { attributes: { sowing_depth: '8 cm', spacing: '6 cm', hardiness: 'to −30 °C' } }],
	['Dahlia ‘Ember Hall’', SUMMER, '6.50', 28, 'plant: May', 'Dinner-plate flowers, the colour of a low fire.', { attributes: { sowing_depth: '12 cm', spacing: '60 cm' } }]
];

const CARE: Record<string, string> = {
	'Greenhouses & frames': 'Pick a level, sunny spot out of the wind and leave a path all round it.',
	Seeds: 'Sow thinly, water with a fine rose, and thin the seedlings as soon as you can hold them.',
	'Trees & shrubs': 'Soak the roots for an hour before planting and firm the soil with your heel.',
	Tools: 'Clean after use and rub the steel with an oily rag before the winter.',
	Bulbs: 'Plant at three times the height of the bulb, the pointed end up.',
	'Soil & feed': 'Store dry and frost-free; opened bags keep for one season.',
	Watering: 'Empty before the first frost.',
	'Raised beds': 'Line with hardware cloth against voles, then fill in layers.',
	Benches: 'Oil once a year in spring; the wood greys where it is left alone.'
};

/** A description of a few paragraphs that any product of its kind can carry. */
export function describeProduct(title: string, summary: string, category: string): string {
	const care = CARE[category.split(' > ')[0] ?? ''] ?? '';
	return [
		`<p>${summary}</p>`,
		`<p>We grow, build or try out everything we sell at Hollowmere, and ${title} has been part of our own garden for years.</p>`,
		'<h3>Good to know</h3>',
		`<p>${care}</p>`,
		'<p>Questions? Our gardeners answer the telephone on every weekday until four.</p>'
	].join('');
}

export function writtenProducts(): DemoProduct[] {
	return WRITTEN.map(([title, category, price, stock, tags, summary, more], i) => ({
		key: slugify(title),
		sku: `HM-${String(1000 + i * 7)}`,
		title,
		summary,
		description: describeProduct(title, summary, category),
		price,
		listPrice: '',
		stock,
		availability: stock > 0 ? 'InStock' : 'OutOfStock',
		brand: '',
		categories: [category],
		tags: tags.split('|').filter((tag) => tag !== ''),
		created: `2025-${String((i % 12) + 1).padStart(2, '0')}-${String(((i * 5) % 28) + 1).padStart(2, '0')}`,
		sold30: (i * 37) % 90,
		attributes: {},
		...more
	}));
}
