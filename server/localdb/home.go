package localdb

import (
	"context"
	"crypto/rand"
	"encoding/hex"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"strconv"
	"syscall"
	"time"
)

// home is the directory of a private MariaDB:
//
//	lock      held by this program
//	database  held by this program and by the database
//	ready     there once the database is whole
//	port      of the database that runs, on loopback
//	password  of the program's account, for its owner's eyes only
//	data tmp run closed  the database's own
type home string

func (h home) path(name string) string { return filepath.Join(string(h), name) }

// socket paths may be 107 bytes at most; a long data directory gets one in the
// system's directory for temporary files.
func (h home) socket() string {
	if p := h.path("run/sock"); len(p) <= 100 {
		return p
	}
	return filepath.Join(os.TempDir(), fmt.Sprintf("gp-%d.sock", os.Getpid()))
}

func (h home) initFile() string { return h.path("run/accounts.sql") }

func (h home) unwritable(err error) error {
	return fmt.Errorf("data directory %s cannot be written: %w", h, cause(err))
}

// whole says that the database was made to the end, so that it may hold somebody's data.
func (h home) whole() bool {
	if _, err := os.Stat(h.path("ready")); err == nil {
		return true
	}
	tables, err := filepath.Glob(h.path("data/" + database + "/*.ibd"))
	return err == nil && len(tables) > 0
}

// markReady after the first start that came to its end; on disk before anything is kept.
func (h home) markReady() error {
	f, err := os.OpenFile(h.path("ready"), os.O_CREATE|os.O_WRONLY, 0o600)
	if err != nil {
		return h.unwritable(err)
	}
	defer f.Close()
	if err := f.Sync(); err != nil {
		return h.unwritable(err)
	}
	return nil
}

// writePort for other programs of its owner.
func (h home) writePort(port int) error {
	if err := os.WriteFile(h.path("port"), []byte(strconv.Itoa(port)), 0o600); err != nil {
		return h.unwritable(err)
	}
	return nil
}

func (h home) port() (int, error) {
	raw, err := os.ReadFile(h.path("port"))
	if err != nil {
		return 0, fmt.Errorf("data directory %s does not say where its database listens: %w", h, cause(err))
	}
	return strconv.Atoi(string(raw))
}

// leastSpace is what a new data directory and its logs need, leastRoom what one
// that exists needs to go on.
const (
	leastSpace = 300 << 20
	leastRoom  = 64 << 20
	// leastFree is kept free while running: with less the database may stop in the middle of a large write.
	leastFree = 24 << 20
)

// HasRoom says whether the disk has room for more to be kept.
func (s *Server) HasRoom() bool {
	have, err := free(string(s.home))
	return err != nil || have >= leastFree
}

// free bytes on the disk of a directory.
func free(dir string) (uint64, error) {
	var fs syscall.Statfs_t
	if err := syscall.Statfs(dir, &fs); err != nil {
		return 0, err
	}
	return fs.Bavail * uint64(fs.Bsize), nil //nolint:gosec // block size is positive
}

func (h home) probeSpace() error {
	have, err := free(string(h))
	if err != nil {
		return fmt.Errorf("data directory %s: %w", h, err)
	}
	need := uint64(leastSpace)
	if h.whole() {
		need = leastRoom
	}
	if have < need {
		return fmt.Errorf("data directory %s is full: %d MB free, %d needed", h, have>>20, need>>20)
	}
	return nil
}

// password of the program's account, made up once.
func (h home) password() (string, error) {
	file := h.path("password")
	if raw, err := os.ReadFile(file); err == nil && len(raw) == 32 {
		return string(raw), os.Chmod(file, 0o600)
	}
	raw := make([]byte, 16)
	if _, err := rand.Read(raw); err != nil {
		return "", err
	}
	p := hex.EncodeToString(raw)
	if err := os.WriteFile(file, []byte(p), 0o600); err != nil {
		return "", h.unwritable(err)
	}
	return p, nil
}

// lay out what belongs to the database, for whom it runs as. A directory of an earlier
// program is handed over.
func (h home) lay(as *identity) error {
	for name, mode := range map[string]fs.FileMode{"data": 0o700, "tmp": 0o700, "run": 0o700, "closed": 0o500} {
		dir := h.path(name)
		if err := os.MkdirAll(dir, mode); err != nil {
			return h.unwritable(err)
		}
		if as == nil {
			continue
		}
		if err := as.own(dir); err != nil {
			return h.unwritable(err)
		}
	}
	if as == nil {
		return nil
	}
	// Through, but not into: others may not list it.
	if err := os.Chmod(string(h), 0o711); err != nil { //nolint:gosec // what is inside is closed
		return h.unwritable(err)
	}
	return nil
}

// writeFor writes a file only the database may read.
func (h home) writeFor(as *identity, file, text string) error {
	_ = os.Remove(file)
	if err := os.WriteFile(file, []byte(text), 0o600); err != nil {
		return h.unwritable(err)
	}
	if as == nil {
		return nil
	}
	return as.own(file)
}

// takeLocks makes sure that no second server is started on the directory, which would
// hang. Another program on it is told soon; a database whose program was killed is waited
// for, it is about to end.
func (s *Server) takeLocks(ctx context.Context) (err error) {
	if s.ours, err = s.home.await(ctx, "lock", briefly); err != nil {
		return err
	}
	s.theirs, err = s.home.await(ctx, "database", stopWithin)
	return err
}

// briefly a lock may be held by nobody's program: by one that only looks ([Attach]), or by
// what a killed one was about to start.
const briefly = time.Second

// await a lock, so long at most.
func (h home) await(ctx context.Context, name string, within time.Duration) (*os.File, error) {
	deadline := time.Now().Add(within)
	for {
		f, err := h.lock(name)
		if err == nil || time.Now().After(deadline) {
			return f, err
		}
		select {
		case <-ctx.Done():
			return nil, ctx.Err()
		case <-time.After(20 * time.Millisecond):
		}
	}
}

func (h home) lock(name string) (*os.File, error) {
	f, err := os.OpenFile(h.path(name), os.O_CREATE|os.O_RDWR, 0o600)
	if err != nil {
		return nil, h.unwritable(err)
	}
	if err := syscall.Flock(int(f.Fd()), syscall.LOCK_EX|syscall.LOCK_NB); err != nil { //nolint:gosec // a descriptor
		_ = f.Close()
		return nil, fmt.Errorf("data directory %s is in use by another Grey Pebble", h)
	}
	return f, nil
}
