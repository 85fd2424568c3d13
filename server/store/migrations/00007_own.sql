-- +goose Up
-- What an angler owns. Zero and empty: not said.
CREATE TABLE IF NOT EXISTS kit_item (
  id          UUID NOT NULL PRIMARY KEY,
  angler_id   UUID NOT NULL,
  revision    INT NOT NULL DEFAULT 1,
  kind        VARCHAR(20) NOT NULL,
  name        VARCHAR(80) NOT NULL,
  offering    VARCHAR(80) NOT NULL DEFAULT '',
  length_m    DOUBLE NOT NULL DEFAULT 0 CHECK (length_m >= 0),
  weight_kg   DOUBLE NOT NULL DEFAULT 0 CHECK (weight_kg >= 0),
  rated_kg    DOUBLE NOT NULL DEFAULT 0 CHECK (rated_kg >= 0),
  ratio       DOUBLE NOT NULL DEFAULT 0 CHECK (ratio >= 0),
  spool_m     DOUBLE NOT NULL DEFAULT 0 CHECK (spool_m >= 0),
  turn_m      DOUBLE NOT NULL DEFAULT 0 CHECK (turn_m >= 0),
  diameter_m  DOUBLE NOT NULL DEFAULT 0 CHECK (diameter_m >= 0),
  break_n     DOUBLE NOT NULL DEFAULT 0 CHECK (break_n >= 0),
  material    VARCHAR(20) NOT NULL DEFAULT '',
  size        VARCHAR(20) NOT NULL DEFAULT '',
  pattern     VARCHAR(20) NOT NULL DEFAULT '',
  rated_m     DOUBLE NOT NULL DEFAULT 0 CHECK (rated_m >= 0),
  fall_ms     DOUBLE NOT NULL DEFAULT 0 CHECK (fall_ms >= 0),
  finish      VARCHAR(20) NOT NULL DEFAULT '',
  snag_proof  BOOLEAN NOT NULL DEFAULT FALSE,
  in_hand     BOOLEAN NOT NULL DEFAULT TRUE,
  count       INT NOT NULL DEFAULT 0 CHECK (count >= 0),
  KEY kit_angler (angler_id, kind, name),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- Positions taken where anglers disagree.
CREATE TABLE IF NOT EXISTS school_choice (
  angler_id UUID NOT NULL,
  school_id VARCHAR(20) NOT NULL,
  position  VARCHAR(40) NOT NULL,
  PRIMARY KEY (angler_id, school_id),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- Targets and rules an angler wrote, in the playbook's own language.
CREATE TABLE IF NOT EXISTS own_entry (
  angler_id UUID NOT NULL,
  kind      VARCHAR(10) NOT NULL CHECK (kind IN ('target', 'rule')),
  id        VARCHAR(80) NOT NULL,
  source    TEXT NOT NULL,
  PRIMARY KEY (angler_id, kind, id),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- +goose Down
DROP TABLE own_entry;
DROP TABLE school_choice;
DROP TABLE kit_item;
