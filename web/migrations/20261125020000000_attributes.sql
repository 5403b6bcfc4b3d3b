-- Up Migration
CREATE TABLE attribute (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	code text NOT NULL,
	definition jsonb NOT NULL,
	created timestamptz NOT NULL DEFAULT now(),
	PRIMARY KEY (store_id, code)
);

ALTER TABLE category ADD COLUMN attributes jsonb NOT NULL DEFAULT '{}';

-- Settings act at once; the style is a draft, and public with the next release.
ALTER TABLE store ADD COLUMN settings jsonb NOT NULL DEFAULT '{}';
ALTER TABLE store ADD COLUMN style jsonb NOT NULL DEFAULT '{}';

-- Uploaded documents; their bytes lie in the data folder under the same name.
CREATE TABLE file (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	sha256 text NOT NULL CHECK (sha256 ~ '^[0-9a-f]{64}$'),
	name text NOT NULL,
	type text NOT NULL,
	size bigint NOT NULL,
	created timestamptz NOT NULL DEFAULT now(),
	PRIMARY KEY (store_id, sha256)
);

CREATE TABLE icon (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	slug text NOT NULL,
	svg text NOT NULL,
	created timestamptz NOT NULL DEFAULT now(),
	PRIMARY KEY (store_id, slug)
);

CREATE TABLE starter (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	slug text NOT NULL,
	doc jsonb NOT NULL,
	created timestamptz NOT NULL DEFAULT now(),
	PRIMARY KEY (store_id, slug)
);

-- Where the catalogue is pulled from and how the pulls went.
CREATE TABLE feed (
	store_id integer PRIMARY KEY REFERENCES store ON DELETE CASCADE,
	url text NOT NULL,
	minutes integer NOT NULL CHECK (minutes BETWEEN 5 AND 10080),
	etag text,
	last_success timestamptz,
	last_try timestamptz,
	next_try timestamptz NOT NULL DEFAULT now(),
	failures integer NOT NULL DEFAULT 0,
	message text NOT NULL DEFAULT ''
);
