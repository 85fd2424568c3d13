-- +goose Up
-- MariaDB cannot roll a CREATE or ALTER back: each statement of every step can be repeated,
-- for an upgrade that was cut off.
CREATE TABLE IF NOT EXISTS angler (
  id            UUID NOT NULL PRIMARY KEY,
  name          VARCHAR(60) NOT NULL UNIQUE,
  password_hash VARCHAR(200) NOT NULL,
  created_at    DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS sessions (
  token  CHAR(64) NOT NULL PRIMARY KEY,
  data   BLOB NOT NULL,
  expiry TIMESTAMP(6) NOT NULL,
  KEY sessions_expiry (expiry)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS station (
  id        UUID NOT NULL PRIMARY KEY,
  angler_id UUID NOT NULL,
  name      VARCHAR(80) NOT NULL,
  z0_m      DOUBLE NOT NULL,
  source    VARCHAR(200) NOT NULL,
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS station_constituent (
  station_id  UUID NOT NULL,
  name        VARCHAR(12) NOT NULL,
  amplitude_m DOUBLE NOT NULL CHECK (amplitude_m >= 0),
  phase_deg   DOUBLE NOT NULL,
  PRIMARY KEY (station_id, name),
  FOREIGN KEY (station_id) REFERENCES station (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS water (
  id         UUID NOT NULL PRIMARY KEY,
  angler_id  UUID NOT NULL,
  station_id UUID NOT NULL,
  name       VARCHAR(80) NOT NULL,
  time_zone  VARCHAR(64) NOT NULL,
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE,
  FOREIGN KEY (station_id) REFERENCES station (id)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS spot (
  id              UUID NOT NULL PRIMARY KEY,
  angler_id       UUID NOT NULL,
  water_id        UUID NOT NULL,
  name            VARCHAR(80) NOT NULL,
  place           VARCHAR(40) NOT NULL,
  lat_deg         DOUBLE NOT NULL CHECK (lat_deg BETWEEN -90 AND 90),
  lon_deg         DOUBLE NOT NULL CHECK (lon_deg BETWEEN -180 AND 180),
  lag_s           INT NOT NULL DEFAULT 0,
  height_factor   DOUBLE NOT NULL DEFAULT 1 CHECK (height_factor > 0),
  manner          VARCHAR(20) NOT NULL,
  in_name         VARCHAR(60) NOT NULL,
  in_elevation_m  DOUBLE NOT NULL,
  out_name        VARCHAR(60) NOT NULL,
  out_elevation_m DOUBLE NOT NULL,
  note            VARCHAR(400) NOT NULL DEFAULT '',
  KEY spot_angler (angler_id, name),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE,
  FOREIGN KEY (water_id) REFERENCES water (id)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS section_point (
  spot_id     UUID NOT NULL,
  distance_m  DOUBLE NOT NULL,
  elevation_m DOUBLE NOT NULL,
  PRIMARY KEY (spot_id, distance_m),
  FOREIGN KEY (spot_id) REFERENCES spot (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS mark (
  id             UUID NOT NULL PRIMARY KEY,
  spot_id        UUID NOT NULL,
  name           VARCHAR(60) NOT NULL,
  kind           VARCHAR(20) NOT NULL,
  distance_m     DOUBLE NOT NULL,
  elevation_m    DOUBLE NOT NULL,
  bottom         VARCHAR(20) NOT NULL DEFAULT '',
  fishable_min_m DOUBLE NOT NULL,
  fishable_max_m DOUBLE NULL,
  line           VARCHAR(40) NOT NULL DEFAULT '',
  CHECK (fishable_max_m IS NULL OR fishable_max_m > fishable_min_m),
  FOREIGN KEY (spot_id) REFERENCES spot (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- Readings of a water: forecasts and what was observed outside a spell.
CREATE TABLE IF NOT EXISTS reading (
  water_id UUID NOT NULL,
  kind     VARCHAR(30) NOT NULL,
  time     DATETIME(3) NOT NULL,
  origin   VARCHAR(12) NOT NULL CHECK (origin IN ('observed', 'forecast', 'predicted', 'assumed')),
  value    DOUBLE NOT NULL,
  source   VARCHAR(120) NOT NULL,
  PRIMARY KEY (water_id, kind, time, origin),
  FOREIGN KEY (water_id) REFERENCES water (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS spell (
  id                UUID NOT NULL PRIMARY KEY,
  angler_id         UUID NOT NULL,
  spot_id           UUID NOT NULL,
  target            VARCHAR(40) NOT NULL,
  started_at        DATETIME(3) NOT NULL,
  ended_at          DATETIME(3) NOT NULL,
  rods              INT NOT NULL DEFAULT 1 CHECK (rods BETWEEN 1 AND 12),
  mark              VARCHAR(60) NOT NULL DEFAULT '',
  approach          VARCHAR(20) NOT NULL DEFAULT '',
  offering          VARCHAR(80) NOT NULL DEFAULT '',
  note              VARCHAR(1000) NOT NULL DEFAULT '',
  revision          INT NOT NULL,
  -- What the program worked out for the middle of the spell.
  tide_level_m      DOUBLE NOT NULL,
  tide_direction    VARCHAR(5) NOT NULL CHECK (tide_direction IN ('flood', 'ebb')),
  tide_third        INT NOT NULL CHECK (tide_third BETWEEN 1 AND 3),
  tide_rate_m_per_h DOUBLE NOT NULL,
  sun_altitude_deg  DOUBLE NOT NULL,
  light             VARCHAR(10) NOT NULL,
  moon_illumination DOUBLE NOT NULL,
  moon_phase        VARCHAR(20) NOT NULL,
  CHECK (ended_at >= started_at),
  KEY spell_log (angler_id, started_at),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE,
  FOREIGN KEY (spot_id) REFERENCES spot (id)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS spell_reading (
  spell_id UUID NOT NULL,
  kind     VARCHAR(30) NOT NULL,
  value    DOUBLE NOT NULL,
  origin   VARCHAR(12) NOT NULL,
  time     DATETIME(3) NOT NULL,
  source   VARCHAR(120) NOT NULL,
  PRIMARY KEY (spell_id, kind),
  FOREIGN KEY (spell_id) REFERENCES spell (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS catch (
  id        UUID NOT NULL PRIMARY KEY,
  angler_id UUID NOT NULL,
  spell_id  UUID NOT NULL,
  target    VARCHAR(40) NOT NULL,
  caught_at DATETIME(3) NOT NULL,
  length_m  DOUBLE NULL CHECK (length_m > 0 AND length_m < 4),
  mass_kg   DOUBLE NULL CHECK (mass_kg > 0 AND mass_kg < 500),
  kept      BOOLEAN NOT NULL DEFAULT FALSE,
  note      VARCHAR(1000) NOT NULL DEFAULT '',
  revision  INT NOT NULL,
  KEY catch_spell (spell_id),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE,
  FOREIGN KEY (spell_id) REFERENCES spell (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- +goose Down
DROP TABLE catch, spell_reading, spell, reading, mark, section_point, spot, water, station_constituent, station, sessions, angler;
