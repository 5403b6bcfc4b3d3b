import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	kit: {
		adapter: adapter(),
		// The API takes any content type with its key; who has only a cookie is checked in hooks.server.ts.
		csrf: { trustedOrigins: ['*'] },
		// Bodies are limited where they are read, so that a catalogue can be streamed.
		csp: {
			directives: {
				'default-src': ['none'],
				'script-src': ['self'],
				'worker-src': ['self'],
				'style-src': ['self', 'unsafe-inline'],
				'img-src': ['self', 'data:', 'http:', 'https:'],
				'media-src': ['self', 'http:', 'https:'],
				'font-src': ['self', 'data:'],
				'connect-src': ['self'],
				'frame-src': ['self'],
				'form-action': ['self'],
				'base-uri': ['none'],
				'frame-ancestors': ['none']
			}
		}
	}
};
