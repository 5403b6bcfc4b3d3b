/** The token of an `Authorization: Bearer …` header (RFC 6750, 2.1); null where there is none. */
export function bearerOf(request: Request): string | null {
	return /^Bearer (.+)$/i.exec(request.headers.get('authorization') ?? '')?.[1] ?? null;
}
