-- +goose Up
-- How much higher than predicted the water of a water was seen to stand.
CREATE TABLE IF NOT EXISTS surge (
  water_id UUID NOT NULL PRIMARY KEY,
  by_m     DOUBLE NOT NULL CHECK (by_m BETWEEN -5 AND 5),
  seen_at  DATETIME(3) NOT NULL,
  fade_s   INT NOT NULL CHECK (fade_s BETWEEN 3600 AND 345600),
  FOREIGN KEY (water_id) REFERENCES water (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- +goose Down
DROP TABLE surge;
