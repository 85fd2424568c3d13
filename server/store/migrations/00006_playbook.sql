-- +goose Up
-- What an angler changed of a rule; it lies over the playbook shipped with the program.
CREATE TABLE IF NOT EXISTS rule_change (
  angler_id  UUID NOT NULL,
  rule_id    VARCHAR(80) NOT NULL,
  off        BOOLEAN NOT NULL DEFAULT FALSE,
  effect     VARCHAR(20) NOT NULL DEFAULT '',
  certainty  VARCHAR(20) NOT NULL DEFAULT '',
  PRIMARY KEY (angler_id, rule_id),
  FOREIGN KEY (angler_id) REFERENCES angler (id) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4;

-- +goose Down
DROP TABLE rule_change;
