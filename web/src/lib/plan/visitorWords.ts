import type { Visitor } from '@anbau/core/pieces';

/** A visitor in a few words. */
export function visitorWords({ signedIn, groups, campaign }: Visitor): string {
	const who = !signedIn ? 'Guest' : groups.length > 0 ? groups.join(', ') : 'Signed in';
	return campaign === null ? who : `${who}, from ${campaign}`;
}
