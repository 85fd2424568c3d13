-- Accounts one makes and ends oneself. Each statement can be repeated: a step that was cut
-- off is begun again.

-- +goose Up
-- Whose a session is was in its data alone: everyone signs in once more.
DELETE FROM sessions;
ALTER TABLE sessions
  ADD COLUMN IF NOT EXISTS id         UUID NOT NULL,
  ADD COLUMN IF NOT EXISTS angler_id  UUID NOT NULL,
  ADD COLUMN IF NOT EXISTS started_at DATETIME(3) NOT NULL,
  ADD COLUMN IF NOT EXISTS seen_at    DATETIME(3) NOT NULL,
  ADD COLUMN IF NOT EXISTS device     VARCHAR(120) NOT NULL DEFAULT '',
  ADD UNIQUE KEY IF NOT EXISTS sessions_id (id);
-- As in the fourth step: dropped and added, so that a power cut cannot leave the index without the key.
ALTER TABLE sessions DROP FOREIGN KEY IF EXISTS sessions_angler;
ALTER TABLE sessions ADD CONSTRAINT sessions_angler FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE;

-- Units, hours, the start of the week: as JSON, because each is left out until it is chosen.
ALTER TABLE angler ADD COLUMN IF NOT EXISTS settings LONGTEXT NULL CHECK (settings IS NULL OR JSON_VALID(settings));

CREATE TABLE IF NOT EXISTS recovery_code (
  angler_id UUID NOT NULL,
  digest    BINARY(32) NOT NULL,
  PRIMARY KEY (angler_id, digest),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

CREATE TABLE IF NOT EXISTS invite (
  id         UUID NOT NULL PRIMARY KEY,
  -- NULL where whoever runs the server made it.
  angler_id  UUID NULL,
  digest     BINARY(32) NOT NULL UNIQUE,
  note       VARCHAR(120) NOT NULL DEFAULT '',
  uses_left  INT NOT NULL CHECK (uses_left >= 0),
  expires_at DATETIME(3) NOT NULL,
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- Published constants carry their attribution whole.
ALTER TABLE station MODIFY source VARCHAR(400) NOT NULL;

-- A way no depth stands in.
ALTER TABLE spot
  ADD COLUMN IF NOT EXISTS in_clear  BOOLEAN NOT NULL DEFAULT FALSE,
  ADD COLUMN IF NOT EXISTS out_clear BOOLEAN NOT NULL DEFAULT FALSE;

-- Waters and stations of the invented coast, so that they can be removed in one go.
ALTER TABLE water ADD COLUMN IF NOT EXISTS invented BOOLEAN NOT NULL DEFAULT FALSE;
ALTER TABLE station ADD COLUMN IF NOT EXISTS invented BOOLEAN NOT NULL DEFAULT FALSE;

-- +goose Down
ALTER TABLE spot DROP COLUMN in_clear, DROP COLUMN out_clear;
ALTER TABLE station MODIFY source VARCHAR(200) NOT NULL;
ALTER TABLE station DROP COLUMN invented;
ALTER TABLE water DROP COLUMN invented;
DROP TABLE invite;
DROP TABLE recovery_code;
ALTER TABLE angler DROP COLUMN settings;
DELETE FROM sessions;
ALTER TABLE sessions DROP CONSTRAINT sessions_angler, DROP KEY sessions_id, DROP COLUMN id, DROP COLUMN angler_id, DROP COLUMN started_at,
  DROP COLUMN seen_at, DROP COLUMN device;
