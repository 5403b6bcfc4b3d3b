-- Customers' reviews, and how many shown ones each product has of each rating, kept with every change.
CREATE TABLE review (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	id text NOT NULL,
	product text NOT NULL,
	rating smallint NOT NULL CHECK (rating BETWEEN 1 AND 5),
	title text NOT NULL,
	body text NOT NULL,
	author text NOT NULL,
	date timestamptz NOT NULL,
	verified boolean NOT NULL,
	pictures jsonb NOT NULL,
	state text NOT NULL CHECK (state IN ('waiting', 'shown', 'hidden')),
	reason text NOT NULL,
	reply text NOT NULL,
	PRIMARY KEY (store_id, id)
);
CREATE INDEX review_shown_newest ON review (store_id, product, date DESC, id) WHERE state = 'shown';
CREATE INDEX review_shown_best ON review (store_id, product, rating DESC, date DESC, id) WHERE state = 'shown';
CREATE INDEX review_by_state ON review (store_id, state, date DESC, id);

CREATE TABLE review_counts (
	store_id integer NOT NULL REFERENCES store ON DELETE CASCADE,
	product text NOT NULL,
	counts integer[5] NOT NULL,
	PRIMARY KEY (store_id, product)
);

-- How many reviews came in during each month, whatever became of them.
CREATE INDEX review_by_product_date ON review (store_id, product, date);
