-- Uploaded pictures and films; their bytes lie in the data folder under their SHA-256.
CREATE TABLE media (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	sha256 text NOT NULL CHECK (sha256 ~ '^[0-9a-f]{64}$'),
	ending text NOT NULL,
	name text NOT NULL,
	alt text NOT NULL DEFAULT '',
	facts jsonb NOT NULL,
	removed boolean NOT NULL DEFAULT false,
	created timestamptz NOT NULL DEFAULT now(),
	created_by text NOT NULL,
	PRIMARY KEY (store_id, sha256)
);
