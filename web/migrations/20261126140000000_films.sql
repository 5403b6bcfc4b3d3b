-- A film's still picture and its captions, by the addresses of uploads.
ALTER TABLE media ADD COLUMN poster text NOT NULL DEFAULT '', ADD COLUMN captions text NOT NULL DEFAULT '';
