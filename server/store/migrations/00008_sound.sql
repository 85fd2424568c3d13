-- +goose Up
-- Readings are asked for by water and time.
CREATE INDEX IF NOT EXISTS reading_time ON reading (water_id, time);

-- A TIMESTAMP ends in 2038. (A column changes its type in a copy of the table.)
SET STATEMENT alter_algorithm = 'COPY' FOR ALTER TABLE sessions MODIFY expiry DATETIME(6) NOT NULL;

-- One rule for names: capitals do not count, accents do.
SET STATEMENT alter_algorithm = 'COPY' FOR ALTER TABLE angler MODIFY name VARCHAR(60) CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_as_ci NOT NULL;

-- What exported positions are moved by, so that nobody can work it out from the ids.
ALTER TABLE angler ADD COLUMN IF NOT EXISTS secret VARBINARY(32) NULL;

-- The tide of a spell in the words the spot had for it then, slack water among them.
ALTER TABLE spell ADD COLUMN IF NOT EXISTS tide_says VARCHAR(40) NOT NULL DEFAULT '';

-- Counts what is written of an angler's waters, spots and readings, so that what was read of
-- them is known to be of today.
ALTER TABLE angler ADD COLUMN IF NOT EXISTS ground INT NOT NULL DEFAULT 1;

-- Two devices write over one another only knowingly.
ALTER TABLE water ADD COLUMN IF NOT EXISTS revision INT NOT NULL DEFAULT 1;
ALTER TABLE station ADD COLUMN IF NOT EXISTS revision INT NOT NULL DEFAULT 1;
ALTER TABLE zone ADD COLUMN IF NOT EXISTS revision INT NOT NULL DEFAULT 1;
ALTER TABLE surge ADD COLUMN IF NOT EXISTS revision INT NOT NULL DEFAULT 1;

-- +goose Down
ALTER TABLE surge DROP COLUMN revision;
ALTER TABLE zone DROP COLUMN revision;
ALTER TABLE station DROP COLUMN revision;
ALTER TABLE water DROP COLUMN revision;
ALTER TABLE spell DROP COLUMN tide_says;
ALTER TABLE angler DROP COLUMN secret, DROP COLUMN ground;
DROP INDEX reading_time ON reading;
