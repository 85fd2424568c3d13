-- Bends of rivers; outings, with the touches their spells follow from. Each statement can be repeated:
-- a step that was cut off is begun again.

-- +goose Up
-- The bend of a river a spot lies at, counted from the mouth; 0 where it is not said.
ALTER TABLE spot ADD COLUMN IF NOT EXISTS bend TINYINT UNSIGNED NOT NULL DEFAULT 0;

CREATE TABLE IF NOT EXISTS outing (
  id        UUID NOT NULL PRIMARY KEY,
  angler_id UUID NOT NULL,
  began_at  DATETIME(3) NOT NULL,
  ended_at  DATETIME(3) NULL,
  note      VARCHAR(1000) NOT NULL DEFAULT '',
  tell      VARCHAR(400) NOT NULL DEFAULT '',
  call_at   DATETIME(3) NULL,
  -- The plan it came from; that may be gone.
  plan_id   UUID NULL,
  revision  INT NOT NULL,
  KEY outing_of (angler_id, began_at),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- A touch never changes; what it says goes as JSON. Its number is one more than that of the last its
-- device knew of.
CREATE TABLE IF NOT EXISTS touch (
  outing_id UUID NOT NULL,
  id        UUID NOT NULL,
  n         INT NOT NULL,
  body      LONGTEXT NOT NULL CHECK (JSON_VALID(body)),
  PRIMARY KEY (outing_id, id),
  FOREIGN KEY (outing_id) REFERENCES outing (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- A spell of an outing, and a catch, were last written by its touches as the revision told: what is
-- another was changed by hand since.
ALTER TABLE spell
  ADD COLUMN IF NOT EXISTS outing_id    UUID NULL,
  ADD COLUMN IF NOT EXISTS told         INT NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS rod          VARCHAR(40) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS who          VARCHAR(60) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS paused_s     INT NOT NULL DEFAULT 0 CHECK (paused_s >= 0),
  ADD COLUMN IF NOT EXISTS casts        INT NOT NULL DEFAULT 0 CHECK (casts >= 0),
  -- As JSON, short: a long text would be sorted on the disk.
  ADD COLUMN IF NOT EXISTS presentation VARCHAR(1000) NULL CHECK (presentation IS NULL OR JSON_VALID(presentation)),
  ADD COLUMN IF NOT EXISTS signs        VARCHAR(1000) NULL CHECK (signs IS NULL OR JSON_VALID(signs)),
  ADD KEY IF NOT EXISTS spell_outing (outing_id);
-- In two: one statement cannot drop a key and add it anew by its name.
ALTER TABLE spell DROP FOREIGN KEY IF EXISTS spell_of_outing;
ALTER TABLE spell ADD CONSTRAINT spell_of_outing FOREIGN KEY (outing_id) REFERENCES outing (id) ON DELETE SET NULL;
ALTER TABLE catch
  ADD COLUMN IF NOT EXISTS told INT NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS who  VARCHAR(60) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS rod  VARCHAR(40) NOT NULL DEFAULT '';

-- Bites, misses, losses and what else happened in a spell.
CREATE TABLE IF NOT EXISTS spell_event (
  spell_id UUID NOT NULL,
  id       UUID NOT NULL,
  time     DATETIME(3) NOT NULL,
  kind     VARCHAR(20) NOT NULL,
  note     VARCHAR(1000) NOT NULL DEFAULT '',
  who      VARCHAR(40) NOT NULL DEFAULT '',
  rod      VARCHAR(40) NOT NULL DEFAULT '',
  PRIMARY KEY (spell_id, id),
  FOREIGN KEY (spell_id) REFERENCES spell (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- +goose Down
DROP TABLE spell_event;
ALTER TABLE spell DROP FOREIGN KEY spell_of_outing, DROP KEY spell_outing, DROP COLUMN outing_id, DROP COLUMN told, DROP COLUMN rod,
  DROP COLUMN who, DROP COLUMN paused_s, DROP COLUMN casts, DROP COLUMN presentation, DROP COLUMN signs;
ALTER TABLE catch DROP COLUMN told, DROP COLUMN who, DROP COLUMN rod;
DROP TABLE touch, outing;
ALTER TABLE spot DROP COLUMN bend;
