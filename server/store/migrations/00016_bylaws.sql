-- Rules of authorities and voluntary codes, as they were entered. Each statement can be repeated: a step that was cut
-- off is begun again.

-- +goose Up
CREATE TABLE IF NOT EXISTS bylaw (
  id        UUID NOT NULL PRIMARY KEY,
  angler_id UUID NOT NULL,
  rule      LONGTEXT NOT NULL CHECK (JSON_VALID(rule)),
  revision  INT NOT NULL,
  KEY bylaw_of (angler_id),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- What an angler holds of how a fish is treated, instead of the book.
CREATE TABLE IF NOT EXISTS own_care (
  angler_id UUID NOT NULL,
  target    VARCHAR(80) NOT NULL,
  breeder_m DOUBLE NOT NULL DEFAULT 0 CHECK (breeder_m >= 0 AND breeder_m < 5),
  hot_c     DOUBLE NOT NULL DEFAULT 0 CHECK (hot_c >= 0 AND hot_c <= 40),
  handling  VARCHAR(400) NOT NULL DEFAULT '',
  PRIMARY KEY (angler_id, target),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- Fish by when they were caught: bags are counted by the day.
ALTER TABLE catch ADD KEY IF NOT EXISTS catch_day (angler_id, caught_at);

-- +goose Down
ALTER TABLE catch DROP KEY IF EXISTS catch_day;
DROP TABLE own_care, bylaw;
