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

-- Fish that were kept, by when they were: bags are counted by the day.
ALTER TABLE catch ADD KEY IF NOT EXISTS catch_kept (angler_id, kept, caught_at);

-- +goose Down
ALTER TABLE catch DROP KEY IF EXISTS catch_kept;
DROP TABLE bylaw;
