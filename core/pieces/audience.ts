import type { Audience } from './piece.js';

/** What is known of a visitor. A guest is signed out and in no group. */
export interface Visitor {
	signedIn: boolean;
	groups: readonly string[];
	/** The campaign named in the page's address. */
	campaign: string | null;
}

export const GUEST: Visitor = { signedIn: false, groups: [], campaign: null };

/** Why a visitor is not of an audience, as a plain sentence; null when the visitor is. No audience is everyone. */
export function audienceFault(audience: Audience | null, visitor: Visitor): string | null {
	if (!audience) return null;
	const { signedIn, groups, campaign } = audience;
	if (signedIn !== undefined && signedIn !== visitor.signedIn) {
		return signedIn ? 'only for visitors who are signed in' : 'only for visitors who are not signed in';
	}
	if (groups && !groups.some((group) => visitor.groups.includes(group)))
		return `only for the group ${groups.join(' or ')}`;
	if (campaign !== undefined && campaign !== visitor.campaign) return `only for visitors of the campaign “${campaign}”`;
	return null;
}
