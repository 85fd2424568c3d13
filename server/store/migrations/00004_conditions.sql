-- +goose Up
-- Readings say where they were taken and how far off they may be; the angler's
-- own stand beside a service's of the same hour.
ALTER TABLE reading
  ADD COLUMN IF NOT EXISTS place  VARCHAR(80) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS spread DOUBLE NOT NULL DEFAULT 0 CHECK (spread >= 0),
  ADD COLUMN IF NOT EXISTS own    BOOLEAN NOT NULL DEFAULT FALSE,
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (water_id, kind, time, origin, own);

ALTER TABLE spell_reading
  ADD COLUMN IF NOT EXISTS place  VARCHAR(80) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS spread DOUBLE NOT NULL DEFAULT 0 CHECK (spread >= 0);

-- A station may follow another one, with offsets, instead of having constituents.
ALTER TABLE station
  ADD COLUMN IF NOT EXISTS reference_id      UUID NULL,
  ADD COLUMN IF NOT EXISTS lag_high_s        INT NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS lag_low_s         INT NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS factor_high       DOUBLE NOT NULL DEFAULT 1 CHECK (factor_high > 0),
  ADD COLUMN IF NOT EXISTS factor_low        DOUBLE NOT NULL DEFAULT 1 CHECK (factor_low > 0),
  ADD COLUMN IF NOT EXISTS difference_high_m DOUBLE NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS difference_low_m  DOUBLE NOT NULL DEFAULT 0;
-- A check of the whole table is added to a copy of it or not at all.
SET STATEMENT alter_algorithm = 'COPY' FOR ALTER TABLE station
  ADD CONSTRAINT IF NOT EXISTS station_not_itself CHECK (reference_id IS NULL OR reference_id <> id);
-- Dropped and added, not added where it is missing: after a power cut the key's index may be there
-- without the key, and "if not exists" asks for the index.
ALTER TABLE station DROP FOREIGN KEY IF EXISTS station_reference;
ALTER TABLE station ADD CONSTRAINT station_reference FOREIGN KEY (reference_id) REFERENCES station (id);

-- A spot's own offsets on its water's station, and what makes the tide run there.
ALTER TABLE spot
  ADD COLUMN IF NOT EXISTS lag_high_s        INT NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS lag_low_s         INT NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS factor_high       DOUBLE NOT NULL DEFAULT 1 CHECK (factor_high > 0),
  ADD COLUMN IF NOT EXISTS factor_low        DOUBLE NOT NULL DEFAULT 1 CHECK (factor_low > 0),
  ADD COLUMN IF NOT EXISTS difference_high_m DOUBLE NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS difference_low_m  DOUBLE NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS current_seen_ms   DOUBLE NOT NULL DEFAULT 0 CHECK (current_seen_ms BETWEEN 0 AND 8),
  ADD COLUMN IF NOT EXISTS basin_m2          DOUBLE NOT NULL DEFAULT 0 CHECK (basin_m2 >= 0),
  ADD COLUMN IF NOT EXISTS passage_width_m   DOUBLE NOT NULL DEFAULT 0 CHECK (passage_width_m >= 0),
  ADD COLUMN IF NOT EXISTS passage_bed_m     DOUBLE NOT NULL DEFAULT 0;
-- Cut off after the columns were dropped, they come back without a value: what was moved stays.
ALTER TABLE spot ADD COLUMN IF NOT EXISTS lag_s INT NULL, ADD COLUMN IF NOT EXISTS height_factor DOUBLE NULL;
UPDATE spot SET lag_high_s = lag_s, lag_low_s = lag_s, factor_high = height_factor, factor_low = height_factor WHERE lag_s IS NOT NULL;
ALTER TABLE spot DROP COLUMN IF EXISTS lag_s, DROP COLUMN IF EXISTS height_factor;

-- High and low waters an angler noted at a spot, to learn its offsets from.
CREATE TABLE IF NOT EXISTS noted_turn (
  id       UUID NOT NULL PRIMARY KEY,
  spot_id  UUID NOT NULL,
  time     DATETIME(3) NOT NULL,
  kind     VARCHAR(4) NOT NULL CHECK (kind IN ('high', 'low')),
  height_m DOUBLE NULL,
  FOREIGN KEY (spot_id) REFERENCES spot (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- The shores of a water, as rings of longitude and latitude (JSON).
CREATE TABLE IF NOT EXISTS outline (
  water_id UUID NOT NULL PRIMARY KEY,
  rings    LONGTEXT NOT NULL CHECK (JSON_VALID(rings)),
  FOREIGN KEY (water_id) REFERENCES water (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- +goose Down
DROP TABLE outline;
DROP TABLE noted_turn;
ALTER TABLE spot
  ADD COLUMN lag_s INT NOT NULL DEFAULT 0,
  ADD COLUMN height_factor DOUBLE NOT NULL DEFAULT 1;
UPDATE spot SET lag_s = lag_high_s, height_factor = factor_high;
ALTER TABLE spot DROP COLUMN lag_high_s, DROP COLUMN lag_low_s, DROP COLUMN factor_high, DROP COLUMN factor_low,
  DROP COLUMN difference_high_m, DROP COLUMN difference_low_m, DROP COLUMN current_seen_ms, DROP COLUMN basin_m2,
  DROP COLUMN passage_width_m, DROP COLUMN passage_bed_m;
ALTER TABLE station DROP CONSTRAINT station_reference, DROP CONSTRAINT station_not_itself, DROP COLUMN reference_id, DROP COLUMN lag_high_s,
  DROP COLUMN lag_low_s, DROP COLUMN factor_high, DROP COLUMN factor_low, DROP COLUMN difference_high_m, DROP COLUMN difference_low_m;
ALTER TABLE spell_reading DROP COLUMN place, DROP COLUMN spread;
DELETE FROM reading WHERE own;
ALTER TABLE reading DROP PRIMARY KEY, ADD PRIMARY KEY (water_id, kind, time, origin), DROP COLUMN place, DROP COLUMN spread, DROP COLUMN own;
