-- What comes into the log from outside: files of spells, photos, sightings, lists of tags. Each statement can be
-- repeated: a step that was cut off is begun again.

-- +goose Up
-- A file that was taken into the log, so that it can be taken back.
CREATE TABLE IF NOT EXISTS log_import (
  id        UUID NOT NULL PRIMARY KEY,
  angler_id UUID NOT NULL,
  made_at   DATETIME(3) NOT NULL,
  name      VARCHAR(120) NOT NULL,
  KEY import_of (angler_id, made_at),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- A fish that is none of the targets, by the name it goes by.
ALTER TABLE catch ADD COLUMN IF NOT EXISTS species VARCHAR(80) NOT NULL DEFAULT '';

ALTER TABLE spell ADD COLUMN IF NOT EXISTS import_id UUID NULL;
-- As in the fourth step: dropped and added, so that a power cut cannot leave the index without the key.
ALTER TABLE spell DROP FOREIGN KEY IF EXISTS spell_import;
ALTER TABLE spell ADD CONSTRAINT spell_import FOREIGN KEY (import_id) REFERENCES log_import (id) ON DELETE SET NULL;

-- A photo of a catch, upright and without what the camera wrote; when, where and which way it was taken only where its
-- owner wants that kept. A catch that is taken back and written again finds its photo, so it is no foreign key.
CREATE TABLE IF NOT EXISTS photo (
  id          UUID NOT NULL PRIMARY KEY,
  angler_id   UUID NOT NULL,
  catch_id    UUID NOT NULL,
  made_at     DATETIME(3) NOT NULL,
  taken_at    DATETIME(3) NULL,
  lat_deg     DOUBLE NULL CHECK (lat_deg BETWEEN -90 AND 90),
  lon_deg     DOUBLE NULL CHECK (lon_deg BETWEEN -180 AND 180),
  heading_deg DOUBLE NULL CHECK (heading_deg >= 0 AND heading_deg < 360),
  width       INT NOT NULL CHECK (width > 0),
  height      INT NOT NULL CHECK (height > 0),
  image       LONGBLOB NOT NULL CHECK (LENGTH(image) <= 400000),
  thumb       LONGBLOB NOT NULL CHECK (LENGTH(thumb) <= 24000),
  KEY photo_of (angler_id, catch_id),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- What was seen without fishing, with the water it was seen in.
CREATE TABLE IF NOT EXISTS sighting (
  id             UUID NOT NULL PRIMARY KEY,
  angler_id      UUID NOT NULL,
  spot_id        UUID NOT NULL,
  seen_at        DATETIME(3) NOT NULL,
  target         VARCHAR(80) NOT NULL DEFAULT '',
  mark           VARCHAR(60) NOT NULL DEFAULT '',
  signs          LONGTEXT NOT NULL CHECK (JSON_VALID(signs)),
  note           VARCHAR(1000) NOT NULL DEFAULT '',
  tide_level_m   DOUBLE NOT NULL,
  tide_direction VARCHAR(10) NOT NULL,
  tide_third     INT NOT NULL,
  tide_says      VARCHAR(80) NOT NULL,
  light          VARCHAR(40) NOT NULL,
  revision       INT NOT NULL,
  KEY sighting_of (angler_id, seen_at),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE,
  FOREIGN KEY (spot_id) REFERENCES spot (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- Tagged fish that others met, by the list they came in.
CREATE TABLE IF NOT EXISTS tag_report (
  id        UUID NOT NULL PRIMARY KEY,
  angler_id UUID NOT NULL,
  list      VARCHAR(120) NOT NULL,
  number    VARCHAR(40) NOT NULL,
  programme VARCHAR(80) NOT NULL DEFAULT '',
  species   VARCHAR(80) NOT NULL DEFAULT '',
  met_at    DATETIME(3) NOT NULL,
  lat_deg   DOUBLE NOT NULL CHECK (lat_deg BETWEEN -90 AND 90),
  lon_deg   DOUBLE NOT NULL CHECK (lon_deg BETWEEN -180 AND 180),
  length_m  DOUBLE NULL CHECK (length_m > 0 AND length_m < 4),
  KEY report_of (angler_id, list),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- +goose Down
DROP TABLE tag_report, sighting, photo;
ALTER TABLE spell DROP FOREIGN KEY IF EXISTS spell_import, DROP COLUMN IF EXISTS import_id;
ALTER TABLE catch DROP COLUMN IF EXISTS species;
DROP TABLE log_import;
