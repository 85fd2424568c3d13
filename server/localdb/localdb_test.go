package localdb

import (
	"context"
	"database/sql"
	"net"
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func start(t *testing.T, dir string) *Server {
	t.Helper()
	s, err := Start(context.Background(), dir)
	require.NoError(t, err)
	return s
}

func TestAcknowledgedRowsSurviveAKill(t *testing.T) {
	dir := t.TempDir()
	s := start(t, dir)
	db, err := sql.Open("mysql", s.DSN())
	require.NoError(t, err)
	_, err = db.Exec("CREATE TABLE t (n INT PRIMARY KEY) ENGINE=InnoDB")
	require.NoError(t, err)
	acknowledged := make(chan int)
	go func() {
		defer close(acknowledged)
		for n := 0; ; n++ {
			if _, err := db.Exec("INSERT INTO t VALUES (?)", n); err != nil {
				return
			}
			acknowledged <- n
		}
	}()
	last := -1
	killed := make(chan struct{})
	for n := range acknowledged {
		if last = n; n == 300 {
			go func() { s.Kill(); close(killed) }() // while more are written
		}
	}
	<-killed
	_ = db.Close()
	require.GreaterOrEqual(t, last, 300)

	again := start(t, dir)
	defer func() { assert.NoError(t, again.Stop()) }()
	db, err = sql.Open("mysql", again.DSN())
	require.NoError(t, err)
	defer db.Close()
	var count int
	require.NoError(t, db.QueryRow("SELECT COUNT(*) FROM t WHERE n <= ?", last).Scan(&count))
	assert.Equal(t, last+1, count)
}

func TestOneServerADirectory(t *testing.T) {
	dir := t.TempDir()
	s := start(t, dir)
	_, err := Start(context.Background(), dir)
	assert.ErrorContains(t, err, "in use by another")
	require.NoError(t, s.Stop())
	require.NoError(t, start(t, dir).Stop())
}

func TestWhatIsMissingIsSaidInOneLine(t *testing.T) {
	file := filepath.Join(t.TempDir(), "file")
	require.NoError(t, os.WriteFile(file, nil, 0o600))
	_, err := Start(context.Background(), filepath.Join(file, "data"))
	require.Error(t, err)
	assert.Contains(t, err.Error(), "cannot be written")
	assert.NotContains(t, err.Error(), "\n")

	_, err = find("no-such-program")
	assert.ErrorContains(t, err, "install Debian's package")
}

// Between finding a port free and binding it, somebody else may take it.
func TestAPortSomebodyTookIsNotTriedAgain(t *testing.T) {
	taken, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	defer taken.Close()
	tries, dir := 0, t.TempDir()
	s := &Server{home: home(dir), choose: func() (int, error) {
		if tries++; tries == 1 {
			return taken.Addr().(*net.TCPAddr).Port, nil
		}
		return freePort()
	}}
	programs, err := find("mariadbd", "mariadb-install-db")
	require.NoError(t, err)
	require.NoError(t, s.start(context.Background(), programs))
	assert.Equal(t, 2, tries)
	s.Kill()

	// A port that others know is kept, and what is wrong is said.
	s.port = taken.Addr().(*net.TCPAddr).Port
	assert.ErrorContains(t, s.start(context.Background(), programs), "the port is taken")
	require.NoError(t, s.Stop())
}

// Somebody who only looks whether a server runs keeps none from starting.
func TestALookDoesNotKeepAServerOut(t *testing.T) {
	dir := t.TempDir()
	h := home(dir)
	held, err := h.lock("lock")
	require.NoError(t, err)
	time.AfterFunc(100*time.Millisecond, func() { _ = held.Close() })
	again, err := h.await(context.Background(), "lock", time.Minute)
	require.NoError(t, err)
	require.NoError(t, again.Close())
}
