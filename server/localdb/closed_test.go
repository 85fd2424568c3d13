package localdb

import (
	"context"
	"database/sql"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"testing"

	"github.com/go-sql-driver/mysql"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// as opens a connection of somebody else than the program.
func as(t *testing.T, s *Server, user, password string) *sql.DB {
	t.Helper()
	c := mysql.NewConfig()
	c.Net, c.Addr, c.User, c.Passwd = "tcp", fmt.Sprintf("127.0.0.1:%d", s.port), user, password
	db, err := sql.Open("mysql", c.FormatDSN())
	require.NoError(t, err)
	t.Cleanup(func() { _ = db.Close() })
	return db
}

func reachable(t *testing.T) string {
	dir, err := os.MkdirTemp("", "greypebble-localdb-")
	require.NoError(t, err)
	t.Cleanup(func() { _ = os.RemoveAll(dir) })
	return dir
}

// closed: one account with a password, which can do nothing but keep tables.
func closed(t *testing.T, s *Server) {
	t.Helper()
	for _, user := range []string{"root", "", "mysql", "greypebble", "anyone"} {
		assert.Error(t, as(t, s, user, "").Ping(), "%q without a password", user)
	}
	c := mysql.NewConfig()
	c.Net, c.Addr, c.User = "unix", s.home.socket(), "root"
	db, err := sql.Open("mysql", c.FormatDSN())
	require.NoError(t, err)
	defer db.Close()
	assert.Error(t, db.Ping(), "root by the socket")

	password, err := os.ReadFile(s.home.path("password"))
	require.NoError(t, err)
	info, err := os.Stat(s.home.path("password"))
	require.NoError(t, err)
	assert.Equal(t, os.FileMode(0o600), info.Mode().Perm())
	own := as(t, s, account, string(password))
	require.NoError(t, own.Ping())
	_, err = own.Exec("CREATE TABLE greypebble.t (n INT)")
	require.NoError(t, err)
	_, err = own.Exec("DROP TABLE greypebble.t")
	require.NoError(t, err)
	for _, q := range []string{"SELECT 1 INTO OUTFILE '/tmp/greypebble-out'",
		"SELECT LOAD_FILE('/etc/passwd') + 0 = 1 FROM mysql.global_priv", "SELECT * FROM mysql.global_priv", "CREATE DATABASE other",
		"SET GLOBAL max_connections = 5", "CREATE USER x",
		"GRANT ALL ON *.* TO greypebble@'127.0.0.1'"} {
		_, err := own.Exec(q)
		assert.Error(t, err, q)
	}
	var read sql.NullString
	require.NoError(t, own.QueryRow("SELECT LOAD_FILE('/etc/hostname')").Scan(&read))
	assert.False(t, read.Valid)
	var files string
	require.NoError(t, own.QueryRow("SELECT @@secure_file_priv").Scan(&files))
	assert.Equal(t, s.home.path("closed")+"/", files)
	assert.NoFileExists(t, s.home.initFile(), "the password stands in one place")
}

func TestTheDatabaseIsClosedToOthers(t *testing.T) {
	s := start(t, reachable(t))
	defer func() { assert.NoError(t, s.Stop()) }()
	closed(t, s)
}

// A directory made by an earlier program has a root without a password; the next start
// closes it, and what was kept stays.
func TestADirectoryOfAnEarlierProgramIsClosed(t *testing.T) {
	programs, err := find("mariadb-install-db")
	require.NoError(t, err)
	dir := reachable(t)
	args := []string{"--no-defaults", "--datadir=" + filepath.Join(dir, "data"), "--auth-root-authentication-method=normal",
		"--skip-test-db", "--skip-name-resolve"}
	if os.Geteuid() == 0 {
		args = append(args, "--user=root")
	}
	out, err := exec.Command(programs["mariadb-install-db"], args...).CombinedOutput()
	require.NoError(t, err, "%s", out)
	require.NoError(t, os.WriteFile(filepath.Join(dir, "ready"), nil, 0o600))
	mark := filepath.Join(dir, "data", "kept.txt")
	require.NoError(t, os.WriteFile(mark, nil, 0o600))
	s := start(t, dir)
	defer func() { assert.NoError(t, s.Stop()) }()
	closed(t, s)
	assert.FileExists(t, mark)
}

func TestTheDatabaseDoesNotRunAsRoot(t *testing.T) {
	s := start(t, reachable(t))
	defer func() { assert.NoError(t, s.Stop()) }()
	status, err := os.ReadFile(fmt.Sprintf("/proc/%d/status", s.cmd.Process.Pid))
	require.NoError(t, err)
	for line := range strings.Lines(string(status)) {
		if strings.HasPrefix(line, "Uid:") {
			assert.NotContains(t, strings.Fields(line), "0", "Debian's package has made a user for it")
		}
	}
}

// A program that was killed leaves its database to end by itself; the next start waits for
// that, and does not take the directory from under it.
func TestANewStartWaitsForADatabaseThatIsStillEnding(t *testing.T) {
	dir := filepath.Join(reachable(t), "data")
	s := start(t, dir)
	for _, f := range []*os.File{s.ours, s.theirs} {
		require.NoError(t, f.Close()) // as the system does when the program dies
	}
	s.ours, s.theirs = nil, nil
	again := make(chan error, 1)
	go func() {
		n, err := Start(context.Background(), dir)
		if err == nil {
			err = n.Stop()
		}
		again <- err
	}()
	select {
	case err := <-again:
		t.Fatalf("started while the database ran: %v", err)
	case <-s.done:
		t.Fatal("the database was ended")
	default:
	}
	require.NoError(t, s.Stop())
	require.NoError(t, <-again)
}
