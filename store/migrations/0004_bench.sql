-- +goose Up
-- Instruments that may send readings, each with a token of its own.
CREATE TABLE instrument (
    token      text PRIMARY KEY,
    place      bigint GENERATED ALWAYS AS IDENTITY,
    name       text NOT NULL,
    created_at timestamptz NOT NULL DEFAULT now()
);

-- What happened to a machine, entry by entry. An entry's ID is made where it is written, so that one that is sent twice
-- is kept once. Deleting sets deleted_at, so that a deletion can be undone.
CREATE TABLE log_entry (
    id         uuid PRIMARY KEY,
    machine_id uuid NOT NULL REFERENCES machine (id),
    plan_id    uuid REFERENCES plan (id),
    happened   timestamptz NOT NULL,
    place      bigint GENERATED ALWAYS AS IDENTITY,
    version    integer NOT NULL DEFAULT 1,
    described  jsonb NOT NULL,
    deleted_at timestamptz
);
CREATE INDEX log_entry_by_machine ON log_entry (machine_id, happened DESC, place DESC) WHERE deleted_at IS NULL;

-- Pictures of the log, kept as those of the shelf are.
CREATE TABLE log_picture (
    id         uuid PRIMARY KEY,
    entry_id   uuid NOT NULL REFERENCES log_entry (id),
    place      bigint GENERATED ALWAYS AS IDENTITY,
    jpeg       bytea NOT NULL,
    thumbnail  bytea NOT NULL,
    deleted_at timestamptz
);
CREATE INDEX log_picture_by_entry ON log_picture (entry_id);

-- +goose Down
DROP TABLE log_picture;
DROP TABLE log_entry;
DROP TABLE instrument;
