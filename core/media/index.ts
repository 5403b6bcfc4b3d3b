export type { FilmFacts, MediaFacts, PictureFacts } from './facts.js';
export { factsText, judge, MOST_BYTES, type Finding, type Level } from './judge.js';
