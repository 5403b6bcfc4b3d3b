-- Up Migration
ALTER TABLE house_tab ADD COLUMN icon text, ADD COLUMN binding text;

-- How the tab strip is; a draft, public with the next release.
ALTER TABLE store ADD COLUMN strip jsonb NOT NULL DEFAULT '{}';

-- Elements of the theme that hang on another hook.
CREATE TABLE house_part (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	slug text NOT NULL,
	doc jsonb NOT NULL,
	PRIMARY KEY (store_id, slug)
);

-- Hooks that are bound to the theme, and the owner's own.
CREATE TABLE hook (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	id text NOT NULL,
	doc jsonb NOT NULL,
	PRIMARY KEY (store_id, id)
);

-- What was last seen of each hook on each sample page: how many elements, found by a marker or by the selector.
CREATE TABLE sighting (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	hook text NOT NULL,
	url text NOT NULL,
	page_key text NOT NULL,
	kind text NOT NULL,
	found integer NOT NULL,
	by_marker boolean NOT NULL,
	seen timestamptz NOT NULL DEFAULT now(),
	PRIMARY KEY (store_id, hook, url)
);

-- One product's deviations; the name is made by the core and tells them apart.
CREATE TABLE exception (
	id integer GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	name text NOT NULL,
	doc jsonb NOT NULL,
	created timestamptz NOT NULL DEFAULT now(),
	created_by text NOT NULL,
	UNIQUE (store_id, name)
);
CREATE INDEX exception_by_product ON exception (store_id, (doc ->> 'product'));
