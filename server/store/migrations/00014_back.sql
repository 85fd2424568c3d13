-- What the log teaches, and what is kept beside it. Each statement can be repeated: a step that was cut off is begun
-- again.

-- +goose Up
-- How often the log was written: with the same count it says the same.
ALTER TABLE angler ADD COLUMN IF NOT EXISTS log INT NOT NULL DEFAULT 1;

-- How many fish a spell brought, and whether some were not those sought: totals of a long log are read from the spells
-- alone.
ALTER TABLE spell
  ADD COLUMN IF NOT EXISTS caught  INT NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS bycatch BOOLEAN NOT NULL DEFAULT FALSE;
UPDATE spell p SET p.caught = (SELECT COUNT(*) FROM catch c WHERE c.spell_id = p.id),
  p.bycatch = EXISTS (SELECT 1 FROM catch c WHERE c.spell_id = p.id AND c.target <> p.target);
ALTER TABLE spell ADD KEY IF NOT EXISTS spell_log
  (angler_id, started_at, id, target, spot_id, caught, bycatch, rods, ended_at, paused_s, tide_direction, tide_third);

-- What more is told of a catch: its girth, how it was measured, where it was hooked and on which hook, a tag.
ALTER TABLE catch
  ADD COLUMN IF NOT EXISTS girth_m       DOUBLE NULL CHECK (girth_m > 0 AND girth_m < 4),
  ADD COLUMN IF NOT EXISTS measured      VARCHAR(10) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS hook_place    VARCHAR(20) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS hook          VARCHAR(10) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS tag_number    VARCHAR(40) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS tag_side      VARCHAR(10) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS tag_programme VARCHAR(80) NOT NULL DEFAULT '';
ALTER TABLE catch ADD KEY IF NOT EXISTS catch_tag (angler_id, tag_number);

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
ALTER TABLE catch DROP KEY IF EXISTS catch_tag, DROP COLUMN girth_m, DROP COLUMN measured, DROP COLUMN hook_place, DROP COLUMN hook,
  DROP COLUMN tag_number, DROP COLUMN tag_side, DROP COLUMN tag_programme;
ALTER TABLE spell DROP KEY IF EXISTS spell_log, DROP COLUMN caught, DROP COLUMN bycatch;
ALTER TABLE angler DROP COLUMN IF EXISTS log;
