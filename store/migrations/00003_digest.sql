-- +goose Up
-- What a description comes to is kept by its content, so the content has a name of its own.
ALTER TABLE machine ADD COLUMN digest text NOT NULL GENERATED ALWAYS AS (md5(described::text)) STORED;
ALTER TABLE plan ADD COLUMN digest text NOT NULL GENERATED ALWAYS AS (md5(described::text)) STORED;
ALTER TABLE shelf_item ADD COLUMN digest text NOT NULL GENERATED ALWAYS AS (md5(described::text)) STORED;
CREATE INDEX shelf_item_on_hand ON shelf_item (place) INCLUDE (id, digest) WHERE deleted_at IS NULL;

-- +goose Down
DROP INDEX shelf_item_on_hand;
ALTER TABLE shelf_item DROP COLUMN digest;
ALTER TABLE plan DROP COLUMN digest;
ALTER TABLE machine DROP COLUMN digest;
