-- What the log teaches, and what is kept beside it. Each statement can be repeated: a step that was cut off is begun
-- again.

-- +goose Up
-- How often the log was written: with the same count it says the same.
ALTER TABLE angler ADD COLUMN IF NOT EXISTS log INT NOT NULL DEFAULT 1;

-- +goose Down
ALTER TABLE angler DROP COLUMN IF EXISTS log;
