package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/trial"
)

// Trial of an angler.
type Trial struct {
	ID       uuid.UUID            `db:"id"`
	Angler   uuid.UUID            `db:"angler_id"`
	MadeAt   time.Time            `db:"made_at"`
	Design   AsJSON[trial.Design] `db:"design"`
	Changed  AsJSON[[]string]     `db:"changed"`
	Peeks    int                  `db:"peeks"`
	Revision int                  `db:"revision"`
}

// TrialBlock is one block of a trial; it goes on while it has no end.
type TrialBlock struct {
	ID        uuid.UUID            `db:"id"`
	Trial     uuid.UUID            `db:"trial_id"`
	StartedAt time.Time            `db:"started_at"`
	EndedAt   *time.Time           `db:"ended_at"`
	Turn      *int                 `db:"turn"`
	Fished    AsJSON[trial.Fished] `db:"body"`
	Revision  int                  `db:"revision"`
}

const (
	trialColumns = `id, angler_id, made_at, design, changed, peeks, revision`
	blockColumns = `id, trial_id, started_at, ended_at, turn, body, revision`
)

// PutTrial keeps a trial, new or over the revision of it that was read; change may say what is told of the change, by
// what stood before. It returns its revision.
func (s *Store) PutTrial(ctx context.Context, angler uuid.UUID, t Trial, change func(before *Trial, blocks int) []string) (revision int,
	err error) {
	t.Angler, t.MadeAt = angler, t.MadeAt.UTC()
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		stored, err := claim(ctx, tx, "trial", angler, t.ID, t.Revision)
		if err != nil {
			return err
		}
		var old Trial
		if stored > 0 {
			if err := tx.GetContext(ctx, &old, `SELECT `+trialColumns+` FROM trial WHERE id = ?`, t.ID); err != nil {
				return err
			}
			var blocks int
			if err := tx.GetContext(ctx, &blocks, `SELECT COUNT(*) FROM trial_block WHERE trial_id = ?`, t.ID); err != nil {
				return err
			}
			t.MadeAt, t.Peeks = old.MadeAt, old.Peeks
			t.Changed.V = append(old.Changed.V, change(&old, blocks)...)
		}
		if t.Revision, err = revised("trial", stored, t.Revision, differing(old, t)); err != nil || t.Revision == 0 {
			t.Revision = stored
			return err
		}
		write := `UPDATE trial SET design = :design, changed = :changed, revision = :revision WHERE id = :id`
		if stored == 0 {
			write = `INSERT INTO trial (` + trialColumns + `) VALUES (:id, :angler_id, :made_at, :design, :changed, :peeks, :revision)`
		}
		_, err = tx.NamedExecContext(ctx, write, t)
		return err
	})
	return t.Revision, err
}

// Trial by id.
func (s *Store) Trial(ctx context.Context, angler, id uuid.UUID) (t Trial, err error) {
	return t, notFound(s.db.GetContext(ctx, &t, `SELECT `+trialColumns+` FROM trial WHERE id = ? AND angler_id = ?`, id, angler))
}

// Trials of an angler, newest first.
func (s *Store) Trials(ctx context.Context, angler uuid.UUID) (list []Trial, err error) {
	err = s.db.SelectContext(ctx, &list, `SELECT `+trialColumns+` FROM trial WHERE angler_id = ? ORDER BY made_at DESC, id`, angler)
	return list, err
}

// DeleteTrial with its blocks.
func (s *Store) DeleteTrial(ctx context.Context, angler, id uuid.UUID) error {
	return gone(s.exec(ctx, `DELETE FROM trial WHERE id = ? AND angler_id = ?`, id, angler))
}

// Peeked counts a look at the result before the end.
func (s *Store) Peeked(ctx context.Context, angler, id uuid.UUID) error {
	_, err := s.exec(ctx, `UPDATE trial SET peeks = peeks + 1 WHERE id = ? AND angler_id = ?`, id, angler)
	return err
}

// Blocks of a trial in the order they were fished.
func (s *Store) Blocks(ctx context.Context, angler, id uuid.UUID) (list []TrialBlock, err error) {
	err = s.db.SelectContext(ctx, &list, `SELECT b.id, b.trial_id, b.started_at, b.ended_at, b.turn, b.body, b.revision
		FROM trial_block b JOIN trial t ON t.id = b.trial_id WHERE t.id = ? AND t.angler_id = ? ORDER BY b.started_at, b.id`, id, angler)
	return list, err
}

// PutBlock of a trial, under the same terms as [Store.PutTrial].
func (s *Store) PutBlock(ctx context.Context, angler uuid.UUID, b TrialBlock) (revision int, err error) {
	b.StartedAt = b.StartedAt.UTC()
	if b.EndedAt != nil {
		at := b.EndedAt.UTC()
		b.EndedAt = &at
	}
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "trial", angler, b.Trial); err != nil {
			return err
		}
		stored, err := claim(ctx, tx, "trial_block", angler, b.ID, b.Revision)
		if err != nil {
			return err
		}
		var old TrialBlock
		if stored > 0 {
			if err := tx.GetContext(ctx, &old, `SELECT `+blockColumns+` FROM trial_block WHERE id = ?`, b.ID); err != nil {
				return err
			}
			b.Trial = old.Trial
		}
		if b.Revision, err = revised("block", stored, b.Revision, differing(old, b)); err != nil || b.Revision == 0 {
			b.Revision = stored
			return err
		}
		write := `UPDATE trial_block SET started_at = :started_at, ended_at = :ended_at, turn = :turn, body = :body, revision = :revision
			WHERE id = :id`
		if stored == 0 {
			write = `INSERT INTO trial_block (` + blockColumns + `)
				VALUES (:id, :trial_id, :started_at, :ended_at, :turn, :body, :revision)`
		}
		_, err = tx.NamedExecContext(ctx, write, b)
		return err
	})
	return b.Revision, err
}
