package store

import (
	"database/sql/driver"
	"errors"
	"fmt"
	"net"
	"regexp"
	"sync/atomic"
	"time"

	"github.com/go-sql-driver/mysql"
)

// ErrFull says that the database's disk is full: what was to be written was not, nothing
// that was kept before is lost, and writing goes on by itself when there is room.
var ErrFull = errors.New("store: the disk is full: free space, nothing was lost")

// fullness remembers when a write last found no room, and asks beforehand where it can.
type fullness struct {
	// room on the database's disk, where it is this machine's; nil where nobody can say.
	room func() bool
	last atomic.Int64
}

// saidFor is how long after a write found no room that is still told.
const saidFor = time.Minute

// before a write: on a disk that is about to be full it is not begun, for a database that
// runs into its end may stop.
func (f *fullness) before() error {
	if f.room != nil && !f.room() {
		return ErrFull
	}
	return nil
}

// seen keeps that a write found the disk full, and names it so.
func (f *fullness) seen(err error) error {
	if err == nil || !DiskFull(err) {
		return err
	}
	f.last.Store(time.Now().UnixNano())
	return fmt.Errorf("%w (%w)", ErrFull, err)
}

// Watch the room there is on the database's disk: nothing is written while room says no.
func (s *Store) Watch(room func() bool) { s.full.room = room }

// Room is [ErrFull] while there is no room to write, or was none a moment ago.
func (s *Store) Room() error {
	if err := s.full.before(); err != nil {
		return err
	}
	if last := s.full.last.Load(); last != 0 && time.Since(time.Unix(0, last)) < saidFor {
		return ErrFull
	}
	return nil
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

var noSpace = regexp.MustCompile(`(?i)\b28\b|no space left`)

// Unreachable says that the database could not be asked: it is starting, ending or away.
func Unreachable(err error) bool {
	var m *mysql.MySQLError
	if errors.As(err, &m) {
		return m.Number == 1053 || m.Number == 1040 || m.Number == 1927 // shutting down, too many, killed
	}
	var n *net.OpError
	return errors.As(err, &n) || errors.Is(err, mysql.ErrInvalidConn) || errors.Is(err, driver.ErrBadConn)
}
