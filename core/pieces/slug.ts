import { z } from 'zod';

const SHAPE = /^[a-z0-9]+(?:-[a-z0-9]+)*$/;
const SAID = 'must be lower-case letters and digits, joined by single hyphens';

/** A slug: lower-case ASCII letters and digits, words joined by single hyphens. */
export const slugSchema = z.string().regex(SHAPE, SAID).max(100);

/** A hook's id, written like a slug. */
export const hookIdSchema = z.string().min(1, 'must not be empty').max(60).regex(SHAPE, SAID);
