-- Plans of days, hours of places, what is usual of a water. Each statement can be repeated: a
-- step that was cut off is begun again.

-- +goose Up
-- What was asked for and the stays that were laid go as JSON: they are read and written whole, and
-- a stay outlives its spot, so that a spot that comes back finds it.
CREATE TABLE IF NOT EXISTS plan (
  id        UUID NOT NULL PRIMARY KEY,
  angler_id UUID NOT NULL,
  name      VARCHAR(80) NOT NULL,
  begins    DATETIME(3) NOT NULL,
  ends      DATETIME(3) NOT NULL,
  asked     LONGTEXT NOT NULL CHECK (JSON_VALID(asked)),
  stays     LONGTEXT NOT NULL CHECK (JSON_VALID(stays)),
  tell      VARCHAR(400) NOT NULL DEFAULT '',
  revision  INT NOT NULL,
  KEY plan_of (angler_id, begins),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- Hours of a gate, a pier, a park or a lock, and what it costs to be there.
ALTER TABLE spot
  ADD COLUMN IF NOT EXISTS hours   LONGTEXT NULL CHECK (hours IS NULL OR JSON_VALID(hours)),
  ADD COLUMN IF NOT EXISTS fee     VARCHAR(200) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS parking VARCHAR(200) NOT NULL DEFAULT '';

-- A month's mean of a kind of reading, with its spread as readings have it.
CREATE TABLE IF NOT EXISTS usual (
  water_id UUID NOT NULL,
  kind     VARCHAR(40) NOT NULL,
  month    TINYINT NOT NULL CHECK (month BETWEEN 1 AND 12),
  mean     DOUBLE NOT NULL,
  spread   DOUBLE NOT NULL CHECK (spread >= 0),
  PRIMARY KEY (water_id, kind, month),
  FOREIGN KEY (water_id) REFERENCES water (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- +goose Down
DROP TABLE usual;
ALTER TABLE spot DROP COLUMN hours, DROP COLUMN fee, DROP COLUMN parking;
DROP TABLE plan;
