package store

import (
	"context"

	"github.com/google/uuid"

	"greypebble/core/playbook"
)

// ruleChanges an angler laid over the playbook, by rule.
func ruleChanges(ctx context.Context, q querier, angler uuid.UUID) (map[string]playbook.Change, error) {
	var rows []struct {
		Rule      string `db:"rule_id"`
		Off       bool   `db:"off"`
		Effect    string `db:"effect"`
		Certainty string `db:"certainty"`
	}
	if err := q.SelectContext(ctx, &rows, `SELECT rule_id, off, effect, certainty FROM rule_change WHERE angler_id = ?`,
		angler); err != nil {
		return nil, err
	}
	out := make(map[string]playbook.Change, len(rows))
	for _, r := range rows {
		out[r.Rule] = playbook.Change{Off: r.Off, Effect: r.Effect, Certainty: r.Certainty}
	}
	return out, nil
}

// PutRuleChange lays a change over a rule in place of an earlier one; a change
// that changes nothing takes it away.
func (s *Store) PutRuleChange(ctx context.Context, angler uuid.UUID, rule string, c playbook.Change) error {
	if c == (playbook.Change{}) {
		_, err := s.exec(ctx, `DELETE FROM rule_change WHERE angler_id = ? AND rule_id = ?`, angler, rule)
		return err
	}
	_, err := s.exec(ctx, `INSERT INTO rule_change (angler_id, rule_id, off, effect, certainty) VALUES (?, ?, ?, ?, ?)
		ON DUPLICATE KEY UPDATE off = VALUES(off), effect = VALUES(effect),
			certainty = VALUES(certainty)`, angler, rule, c.Off, c.Effect, c.Certainty)
	return err
}
