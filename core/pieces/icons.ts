/// <reference path="./lucide.d.ts" />
import BadgePercent from 'lucide/dist/esm/icons/badge-percent.mjs';
import BookOpen from 'lucide/dist/esm/icons/book-open.mjs';
import CalendarDays from 'lucide/dist/esm/icons/calendar-days.mjs';
import CircleCheck from 'lucide/dist/esm/icons/circle-check.mjs';
import CircleHelp from 'lucide/dist/esm/icons/circle-question-mark.mjs';
import Clock from 'lucide/dist/esm/icons/clock.mjs';
import Download from 'lucide/dist/esm/icons/download.mjs';
import Droplets from 'lucide/dist/esm/icons/droplets.mjs';
import FileText from 'lucide/dist/esm/icons/file-text.mjs';
import Flower from 'lucide/dist/esm/icons/flower-2.mjs';
import Gift from 'lucide/dist/esm/icons/gift.mjs';
import Hammer from 'lucide/dist/esm/icons/hammer.mjs';
import Heart from 'lucide/dist/esm/icons/heart.mjs';
import Info from 'lucide/dist/esm/icons/info.mjs';
import Leaf from 'lucide/dist/esm/icons/leaf.mjs';
import Mail from 'lucide/dist/esm/icons/mail.mjs';
import MapPin from 'lucide/dist/esm/icons/map-pin.mjs';
import Package from 'lucide/dist/esm/icons/package.mjs';
import Film from 'lucide/dist/esm/icons/clapperboard.mjs';
import Play from 'lucide/dist/esm/icons/circle-play.mjs';
import Quote from 'lucide/dist/esm/icons/quote.mjs';
import Phone from 'lucide/dist/esm/icons/phone.mjs';
import Recycle from 'lucide/dist/esm/icons/recycle.mjs';
import Ruler from 'lucide/dist/esm/icons/ruler.mjs';
import Scissors from 'lucide/dist/esm/icons/scissors.mjs';
import Shield from 'lucide/dist/esm/icons/shield-check.mjs';
import Shovel from 'lucide/dist/esm/icons/shovel.mjs';
import Snowflake from 'lucide/dist/esm/icons/snowflake.mjs';
import Sprout from 'lucide/dist/esm/icons/sprout.mjs';
import Star from 'lucide/dist/esm/icons/star.mjs';
import Sun from 'lucide/dist/esm/icons/sun.mjs';
import TriangleAlert from 'lucide/dist/esm/icons/triangle-alert.mjs';
import Truck from 'lucide/dist/esm/icons/truck.mjs';
import Wrench from 'lucide/dist/esm/icons/wrench.mjs';
import { z } from 'zod';
import { element } from './html.js';

const SHAPES = {
	alert: TriangleAlert,
	book: BookOpen,
	calendar: CalendarDays,
	check: CircleCheck,
	clock: Clock,
	discount: BadgePercent,
	document: FileText,
	download: Download,
	film: Film,
	flower: Flower,
	gift: Gift,
	hammer: Hammer,
	heart: Heart,
	help: CircleHelp,
	info: Info,
	leaf: Leaf,
	mail: Mail,
	package: Package,
	phone: Phone,
	place: MapPin,
	play: Play,
	quote: Quote,
	recycle: Recycle,
	ruler: Ruler,
	scissors: Scissors,
	shield: Shield,
	shovel: Shovel,
	snowflake: Snowflake,
	sprout: Sprout,
	star: Star,
	sun: Sun,
	tools: Wrench,
	truck: Truck,
	water: Droplets
};

export type IconName = keyof typeof SHAPES;

/** The names of the shipped icons, in alphabetical order. The drawings are Lucide's (ISC licence). */
export const ICON_NAMES = Object.keys(SHAPES) as [IconName, ...IconName[]];

const OWN = /^own:[a-z0-9]+(?:-[a-z0-9]+)*$/;

/** An icon: the name of a shipped one, or `own:` and the slug of one of the owner's. */
export const iconSchema = z
	.string()
	.max(120)
	.refine((name) => name in SHAPES || OWN.test(name), 'is no icon; the Store screen lists them');

/** The slug of an icon of the owner's own; null for a shipped one. */
export function ownIcon(name: string): string | null {
	return OWN.test(name) ? name.slice('own:'.length) : null;
}

/** A shipped icon's shapes, drawn in a square of 24 with lines of the text's colour. */
export function iconShapes(name: IconName): readonly [name: string, attributes: Record<string, string>][] {
	return SHAPES[name];
}

/**
 * An icon as an SVG element that takes the colour of the text and is hidden from assistive technology; empty for one
 * of the owner's that is gone. `own` answers the owner's drawings, cleaned.
 */
export function iconSvg(name: string, own: (slug: string) => string | undefined = () => undefined): string {
	const slug = ownIcon(name);
	if (slug !== null) {
		const open = '<svg class="anbau-icon anbau-own" aria-hidden="true" focusable="false" ';
		return (own(slug) ?? '').replace(/^<svg /, open);
	}
	if (!Object.hasOwn(SHAPES, name)) return '';
	const shapes = SHAPES[name as IconName].map(([shape, attributes]) => element(shape, attributes)).join('');
	return element(
		'svg',
		{ class: 'anbau-icon', viewBox: '0 0 24 24', 'aria-hidden': 'true', focusable: 'false' },
		shapes
	);
}
