-- +goose Up
-- The shelf holds parts of every sort. What was there before were motors.
ALTER TABLE shelf_motor RENAME TO shelf_item;
ALTER TABLE shelf_item ADD COLUMN version integer NOT NULL DEFAULT 1;
UPDATE shelf_item SET described = jsonb_build_object('sort', 'motor', 'motor', described);

-- Pictures are kept as they are shown: re-encoded, with nothing of where or by what they were taken.
CREATE TABLE shelf_picture (
    id         uuid PRIMARY KEY DEFAULT gen_random_uuid(),
    item_id    uuid NOT NULL REFERENCES shelf_item (id),
    place      bigint GENERATED ALWAYS AS IDENTITY,
    jpeg       bytea NOT NULL,
    thumbnail  bytea NOT NULL,
    deleted_at timestamptz
);
CREATE INDEX shelf_picture_by_item ON shelf_picture (item_id);

-- +goose Down
DROP TABLE shelf_picture;
DELETE FROM shelf_item WHERE described ->> 'sort' <> 'motor';
UPDATE shelf_item SET described = described -> 'motor';
ALTER TABLE shelf_item DROP COLUMN version;
ALTER TABLE shelf_item RENAME TO shelf_motor;
