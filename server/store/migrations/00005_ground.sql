-- +goose Up
ALTER TABLE spot
  ADD COLUMN IF NOT EXISTS draught_m       DOUBLE NOT NULL DEFAULT 0 CHECK (draught_m BETWEEN 0 AND 4),
  ADD COLUMN IF NOT EXISTS faces_deg       DOUBLE NULL CHECK (faces_deg BETWEEN 0 AND 360),
  ADD COLUMN IF NOT EXISTS bottom          VARCHAR(20) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS hazards         VARCHAR(400) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS private         BOOLEAN NOT NULL DEFAULT TRUE,
  -- A line or an area (rings of longitude and latitude) where a point does not do.
  ADD COLUMN IF NOT EXISTS shape           LONGTEXT NULL CHECK (shape IS NULL OR JSON_VALID(shape)),
  -- Where the section begins and which way it runs.
  ADD COLUMN IF NOT EXISTS section_lat_deg DOUBLE NULL,
  ADD COLUMN IF NOT EXISTS section_lon_deg DOUBLE NULL,
  ADD COLUMN IF NOT EXISTS section_bearing_deg DOUBLE NULL,
  ADD COLUMN IF NOT EXISTS revision        INT NOT NULL DEFAULT 1;

ALTER TABLE mark
  ADD COLUMN IF NOT EXISTS lat_deg DOUBLE NULL,
  ADD COLUMN IF NOT EXISTS lon_deg DOUBLE NULL,
  ADD COLUMN IF NOT EXISTS note    VARCHAR(400) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS snag    BOOLEAN NOT NULL DEFAULT FALSE;

-- Depths of a water: elevations above chart datum on a lattice, in millimetres
-- as 32-bit integers, compressed.
CREATE TABLE IF NOT EXISTS grid (
  water_id UUID NOT NULL PRIMARY KEY,
  south_deg DOUBLE NOT NULL,
  west_deg  DOUBLE NOT NULL,
  dlat_deg  DOUBLE NOT NULL CHECK (dlat_deg > 0),
  dlon_deg  DOUBLE NOT NULL CHECK (dlon_deg > 0),
  row_count INT NOT NULL CHECK (row_count > 1),
  col_count INT NOT NULL CHECK (col_count > 1),
  source    VARCHAR(200) NOT NULL,
  cells     LONGBLOB NOT NULL,
  FOREIGN KEY (water_id) REFERENCES water (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- Areas with rules of an authority, as the user entered them.
CREATE TABLE IF NOT EXISTS zone (
  id         UUID NOT NULL PRIMARY KEY,
  water_id   UUID NOT NULL,
  name       VARCHAR(80) NOT NULL,
  kind       VARCHAR(20) NOT NULL CHECK (kind IN ('no take', 'seasonal', 'voluntary code')),
  says       VARCHAR(400) NOT NULL,
  source     VARCHAR(200) NOT NULL,
  checked_on DATE NOT NULL,
  from_md    INT NOT NULL DEFAULT 0,
  to_md      INT NOT NULL DEFAULT 0,
  ring       LONGTEXT NOT NULL CHECK (JSON_VALID(ring)),
  FOREIGN KEY (water_id) REFERENCES water (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- +goose Down
DROP TABLE zone;
DROP TABLE grid;
ALTER TABLE mark DROP COLUMN lat_deg, DROP COLUMN lon_deg, DROP COLUMN note, DROP COLUMN snag;
ALTER TABLE spot DROP COLUMN draught_m, DROP COLUMN faces_deg, DROP COLUMN bottom, DROP COLUMN hazards, DROP COLUMN private, DROP COLUMN shape,
  DROP COLUMN section_lat_deg, DROP COLUMN section_lon_deg, DROP COLUMN section_bearing_deg, DROP COLUMN revision;
