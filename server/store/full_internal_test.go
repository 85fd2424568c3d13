package store

import (
	"database/sql/driver"
	"errors"
	"fmt"
	"net"
	"testing"

	"github.com/go-sql-driver/mysql"
	"github.com/stretchr/testify/assert"
)

// Numbers of MariaDB's error list and ENOSPC of errno(3).
func TestAFullDiskIsToldFromOtherErrors(t *testing.T) {
	say := func(n uint16, text string) error {
		return fmt.Errorf("around: %w", &mysql.MySQLError{Number: n, Message: text})
	}
	for _, err := range []error{
		say(1114, "The table 'spell' is full"), say(1021, "Disk full (./x); waiting for someone to free some space..."),
		say(3, `Error writing file './x' (Errcode: 28 "No space left on device")`),
		say(1030, "Got error 28 \"No space left on device\" from storage engine InnoDB"),
	} {
		assert.True(t, DiskFull(err), err)
		var f fullness
		assert.ErrorIs(t, f.seen(err), ErrFull)
		assert.ErrorIs(t, (&Store{}).Room(), nil)
		s := &Store{}
		_ = s.full.seen(err)
		assert.ErrorIs(t, s.Room(), ErrFull, "told for a while")
	}
	for _, err := range []error{nil, errors.New("x"), say(1062, "Duplicate entry '28'"), say(1030, "Got error 122 from storage engine")} {
		assert.False(t, DiskFull(err), err)
	}
	s := &Store{}
	s.Watch(func() bool { return false })
	assert.ErrorIs(t, s.Room(), ErrFull)
	assert.ErrorIs(t, s.within(t.Context(), nil), ErrFull, "nothing is begun")
}

func TestAnUnreachableDatabaseIsToldFromOtherErrors(t *testing.T) {
	for _, err := range []error{mysql.ErrInvalidConn, driver.ErrBadConn, &net.OpError{Op: "dial", Err: errors.New("refused")},
		&mysql.MySQLError{Number: 1053}} {
		assert.True(t, Unreachable(fmt.Errorf("around: %w", err)), err)
	}
	assert.False(t, Unreachable(errors.New("x")))
	assert.False(t, Unreachable(&mysql.MySQLError{Number: 1114}))
}
