-- +goose Up
CREATE TABLE workshop (
    only_row boolean PRIMARY KEY DEFAULT true CHECK (only_row),
    name     text    NOT NULL DEFAULT ''
);
INSERT INTO workshop DEFAULT VALUES;

-- What a person described is kept whole, as they typed it; the columns beside it are what the
-- store itself needs. Deleting sets deleted_at, so that a deletion can be undone.
CREATE TABLE machine (
    id         uuid PRIMARY KEY DEFAULT gen_random_uuid(),
    place      bigint GENERATED ALWAYS AS IDENTITY,
    version    integer NOT NULL DEFAULT 1,
    described  jsonb NOT NULL,
    updated_at timestamptz NOT NULL DEFAULT now(),
    deleted_at timestamptz
);

CREATE TABLE plan (
    id         uuid PRIMARY KEY DEFAULT gen_random_uuid(),
    machine_id uuid NOT NULL REFERENCES machine (id),
    letter     text NOT NULL,
    version    integer NOT NULL DEFAULT 1,
    described  jsonb NOT NULL,
    updated_at timestamptz NOT NULL DEFAULT now(),
    deleted_at timestamptz
);
CREATE INDEX plan_by_machine ON plan (machine_id);

CREATE TABLE shelf_motor (
    id         uuid PRIMARY KEY DEFAULT gen_random_uuid(),
    place      bigint GENERATED ALWAYS AS IDENTITY,
    described  jsonb NOT NULL,
    deleted_at timestamptz
);

-- +goose Down
DROP TABLE shelf_motor;
DROP TABLE plan;
DROP TABLE machine;
DROP TABLE workshop;
