-- +goose Up
-- How high one stands at a spot, above datum; null where it is not said.
ALTER TABLE spot ADD COLUMN IF NOT EXISTS stand_m DOUBLE NULL CHECK (stand_m BETWEEN -20 AND 100);

-- An angler's own limits to going; null stands for never.
CREATE TABLE IF NOT EXISTS going_limit (
  angler_id UUID NOT NULL,
  limit_id  VARCHAR(40) NOT NULL,
  think     DOUBLE NULL CHECK (think >= 0),
  do_not    DOUBLE NULL CHECK (do_not >= 0),
  PRIMARY KEY (angler_id, limit_id),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
);

-- +goose Down
DROP TABLE going_limit;
ALTER TABLE spot DROP COLUMN stand_m;
