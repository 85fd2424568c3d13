-- +goose Up
-- Where a water's forecast comes from and how it went last time.
CREATE TABLE IF NOT EXISTS feed (
  water_id   UUID NOT NULL PRIMARY KEY,
  url        VARCHAR(400) NOT NULL,
  tried_at   DATETIME(3) NULL,
  fetched_at DATETIME(3) NULL,
  issued_at  DATETIME(3) NULL,
  problem    VARCHAR(400) NOT NULL DEFAULT '',
  FOREIGN KEY (water_id) REFERENCES water (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- +goose Down
DROP TABLE feed;
