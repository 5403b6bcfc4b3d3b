-- Up Migration
CREATE TABLE store (
	id integer GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
	key text NOT NULL UNIQUE,
	name text NOT NULL,
	url text NOT NULL,
	currency text NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
	locale text NOT NULL,
	zone text NOT NULL,
	visitor_secret text NOT NULL,
	-- Seconds that shared caches may keep a live document.
	cache_seconds integer NOT NULL DEFAULT 0 CHECK (cache_seconds BETWEEN 0 AND 86400),
	created timestamptz NOT NULL DEFAULT now()
);

CREATE TABLE app_user (
	id integer GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	email text NOT NULL UNIQUE,
	name text NOT NULL,
	password_hash text NOT NULL
);

CREATE TABLE session (
	token_hash bytea PRIMARY KEY,
	user_id integer NOT NULL REFERENCES app_user ON DELETE CASCADE,
	expires timestamptz NOT NULL
);

CREATE TABLE api_key (
	hash bytea PRIMARY KEY,
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	name text NOT NULL,
	created timestamptz NOT NULL DEFAULT now()
);

CREATE TABLE category (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	key text NOT NULL,
	title text NOT NULL,
	description text NOT NULL DEFAULT '',
	parent text,
	PRIMARY KEY (store_id, key),
	FOREIGN KEY (store_id, parent) REFERENCES category (store_id, key),
	-- A key is its parent's key and one slug more, so that the tree has no cycles.
	CHECK (CASE WHEN parent IS NULL THEN strpos(key, '/') = 0 ELSE key ~ '/[^/]+$' AND parent = regexp_replace(key, '/[^/]+$', '') END)
);

CREATE TABLE product (
	-- No foreign key: it would be checked row by row, which costs an import as much again as writing its rows. Whoever
	-- writes products holds the store's row for the whole transaction; a store that goes takes its products along.
	store_id integer NOT NULL,
	key text NOT NULL,
	sku text,
	title text NOT NULL,
	summary text NOT NULL DEFAULT '',
	description text NOT NULL DEFAULT '',
	price bigint,
	list_price bigint,
	currency text NOT NULL,
	stock integer,
	availability text,
	visible boolean NOT NULL DEFAULT true,
	brand text,
	images text[] NOT NULL DEFAULT '{}',
	tags text[] NOT NULL DEFAULT '{}',
	categories text[] NOT NULL DEFAULT '{}',
	created timestamptz,
	sold30 integer,
	url text,
	attributes jsonb NOT NULL DEFAULT '{}',
	freshness timestamptz,
	-- Folded for matching by the core; written with the columns they come from.
	brand_folded text,
	tags_folded text[] NOT NULL DEFAULT '{}',
	attribute_facts jsonb NOT NULL DEFAULT '{}',
	PRIMARY KEY (store_id, key)
);

CREATE TABLE piece (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	slug text NOT NULL,
	doc jsonb NOT NULL,
	"on" boolean NOT NULL DEFAULT true,
	version integer NOT NULL DEFAULT 1,
	-- Deleted in the draft; the row stays until the next release has taken it off the pages.
	removed boolean NOT NULL DEFAULT false,
	created timestamptz NOT NULL DEFAULT now(),
	updated timestamptz NOT NULL DEFAULT now(),
	updated_by text NOT NULL,
	PRIMARY KEY (store_id, slug)
);

CREATE TABLE house_tab (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	slug text NOT NULL,
	name text NOT NULL,
	hidden boolean NOT NULL DEFAULT false,
	priority integer NOT NULL CHECK (priority BETWEEN 1 AND 999),
	PRIMARY KEY (store_id, slug)
);

CREATE TABLE release (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	number integer NOT NULL,
	content jsonb NOT NULL,
	note text NOT NULL DEFAULT '',
	pages integer NOT NULL,
	author text NOT NULL,
	created timestamptz NOT NULL DEFAULT now(),
	PRIMARY KEY (store_id, number)
);

CREATE TABLE audit (
	id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	at timestamptz NOT NULL DEFAULT now(),
	who text NOT NULL,
	action text NOT NULL,
	subject text NOT NULL,
	before jsonb,
	after jsonb
);
CREATE INDEX audit_by_subject ON audit (store_id, subject, at DESC);

CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	RAISE EXCEPTION 'a release is never changed';
END
$$;
CREATE TRIGGER release_is_immutable BEFORE UPDATE ON release FOR EACH ROW EXECUTE FUNCTION refuse_change();

CREATE FUNCTION delete_products_of_store() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	DELETE FROM product WHERE store_id = OLD.id;
	RETURN OLD;
END
$$;
CREATE TRIGGER store_takes_its_products BEFORE DELETE ON store FOR EACH ROW EXECUTE FUNCTION delete_products_of_store();
