import { BEST_RATING } from '@anbau/core/reviews';
import { element } from './html.js';

/** One star in a square of 24, drawn from its top; repeated side by side. */
const STAR = 'l3 6.9 7.4.7-5.6 5 1.7 7.3-6.5-3.9-6.5 3.9 1.7-7.3-5.6-5 7.4-.7z';
/** Five stars side by side as an SVG path, 24 high and 120 wide. */
export const STARS = Array.from({ length: BEST_RATING }, (_, i) => `M${12 + 24 * i} 2${STAR}`).join('');
const WIDTH = 24 * BEST_RATING;

/**
 * A rating as stars that are filled as far as it goes, said in words to those who do not see them. Drawn without a
 * style attribute, which a policy may forbid: an inner `svg` cuts its content off at its own width.
 */
export function starsHtml(rating: number, locale: string): string {
	const said = rating.toLocaleString(locale, { maximumFractionDigits: 1 });
	const filled = Math.round((rating / BEST_RATING) * WIDTH * 10) / 10;
	const star = element('path', { d: STARS });
	return element(
		'svg',
		{
			class: 'anbau-stars',
			viewBox: `0 0 ${WIDTH} 24`,
			role: 'img',
			'aria-label': `${said} of ${BEST_RATING} stars`
		},
		star + element('svg', { width: filled, height: 24 }, star)
	);
}
