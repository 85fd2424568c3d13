-- The bend of a river a spot lies at, counted from the mouth; 0 where it is not said.

-- +goose Up
ALTER TABLE spot ADD COLUMN IF NOT EXISTS bend TINYINT UNSIGNED NOT NULL DEFAULT 0;

-- +goose Down
ALTER TABLE spot DROP COLUMN bend;
