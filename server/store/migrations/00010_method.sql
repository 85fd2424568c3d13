-- +goose Up
-- Further manners of getting to a spot, in words, a comma between them.
ALTER TABLE spot ADD COLUMN IF NOT EXISTS manners VARCHAR(60) NOT NULL DEFAULT '';

-- +goose Down
ALTER TABLE spot DROP COLUMN manners;
