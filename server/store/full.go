package store

import (
	"context"
	"errors"
	"fmt"
	"regexp"
	"sync/atomic"

	"github.com/go-sql-driver/mysql"
	"github.com/jmoiron/sqlx"
)

// ErrFull says that the database's disk is full: what was to be written was not, nothing
// that was kept before is lost, and writing goes on by itself when there is room.
var ErrFull = errors.New("store: the disk is full: free space, nothing was lost")

// fullness remembers that the last write found no room.
type fullness struct{ atomic.Bool }

// seen keeps how a write went, and names a full disk.
func (f *fullness) seen(err error) error {
	if err == nil {
		f.Store(false)
		return nil
	}
	if !DiskFull(err) {
		return err
	}
	f.Store(true)
	return fmt.Errorf("%w (%w)", ErrFull, err)
}

// DiskFull is how MariaDB says so: 1021 disk full, 1114 table full, and the system's 28
// (ENOSPC) within 3, 1026, 1030 and 1180.
func DiskFull(err error) bool {
	var m *mysql.MySQLError
	if !errors.As(err, &m) {
		return false
	}
	switch m.Number {
	case 1021, 1114:
		return true
	case 3, 1026, 1030, 1180:
		return noSpace.MatchString(m.Message)
	}
	return false
}

// Room tries out whether there is room to write after a write found none; nil without
// asking the database otherwise.
func (s *Store) Room(ctx context.Context) error {
	if !s.full.Load() {
		return nil
	}
	// More than the tables have left inside, so that the disk itself is asked.
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `INSERT INTO room_probe (id, filler) VALUES (CONNECTION_ID(), REPEAT('x', 2097152))`); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `DELETE FROM room_probe WHERE id = CONNECTION_ID()`)
		return err
	})
}

var noSpace = regexp.MustCompile(`(?i)\b28\b|no space left`)
