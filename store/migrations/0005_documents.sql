-- +goose Up
-- Which fields a document may have is a version. A program names the one it knows with every connection
-- (jiriki.documents); one that names none, or a lower one than was written here, may not write: it would drop what it does
-- not know.
CREATE TABLE document_version (
    one     boolean PRIMARY KEY DEFAULT true CHECK (one),
    version integer NOT NULL
);
INSERT INTO document_version (version) VALUES (1);

-- +goose StatementBegin
CREATE FUNCTION hold_document_version() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
    known integer := coalesce(nullif(current_setting('jiriki.documents', true), ''), '0')::integer;
    kept  integer := (SELECT version FROM document_version);
BEGIN
    IF known < kept THEN
        RAISE EXCEPTION 'documents here are of version %, the program knows %', kept, known USING ERRCODE = 'JK001';
    END IF;
    RETURN NULL;
END $$;
-- +goose StatementEnd
CREATE TRIGGER hold_document_version BEFORE INSERT OR UPDATE ON machine
    FOR EACH STATEMENT EXECUTE FUNCTION hold_document_version();
CREATE TRIGGER hold_document_version BEFORE INSERT OR UPDATE ON plan
    FOR EACH STATEMENT EXECUTE FUNCTION hold_document_version();
CREATE TRIGGER hold_document_version BEFORE INSERT OR UPDATE ON shelf_item
    FOR EACH STATEMENT EXECUTE FUNCTION hold_document_version();
CREATE TRIGGER hold_document_version BEFORE INSERT OR UPDATE ON log_entry
    FOR EACH STATEMENT EXECUTE FUNCTION hold_document_version();

-- +goose Down
DROP TRIGGER hold_document_version ON log_entry;
DROP TRIGGER hold_document_version ON shelf_item;
DROP TRIGGER hold_document_version ON plan;
DROP TRIGGER hold_document_version ON machine;
DROP FUNCTION hold_document_version;
DROP TABLE document_version;
