-- What the log teaches, and what is kept beside it. Each statement can be repeated: a step that was cut off is begun
-- again.

-- +goose Up
-- How often the log was written: with the same count it says the same.
ALTER TABLE angler ADD COLUMN IF NOT EXISTS log INT NOT NULL DEFAULT 1;

-- A trial as it was designed, what was changed of it after its first block, and how often its result was looked at
-- before the last.
CREATE TABLE IF NOT EXISTS trial (
  id        UUID NOT NULL PRIMARY KEY,
  angler_id UUID NOT NULL,
  made_at   DATETIME(3) NOT NULL,
  design    LONGTEXT NOT NULL CHECK (JSON_VALID(design)),
  changed   LONGTEXT NULL CHECK (changed IS NULL OR JSON_VALID(changed)),
  peeks     INT NOT NULL DEFAULT 0 CHECK (peeks >= 0),
  revision  INT NOT NULL,
  KEY trial_of (angler_id, made_at),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS trial_block (
  id         UUID NOT NULL PRIMARY KEY,
  trial_id   UUID NOT NULL,
  started_at DATETIME(3) NOT NULL,
  ended_at   DATETIME(3) NULL,
  turn       INT NULL,
  body       LONGTEXT NOT NULL CHECK (JSON_VALID(body)),
  revision   INT NOT NULL,
  KEY block_of (trial_id, started_at),
  FOREIGN KEY (trial_id) REFERENCES trial (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- +goose Down
DROP TABLE trial_block, trial;
ALTER TABLE angler DROP COLUMN IF EXISTS log;
