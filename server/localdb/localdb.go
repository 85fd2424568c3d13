// Package localdb runs a private MariaDB on loopback, with its own data
// directory, socket and port, for the demo and the tests. It never touches a
// database server the system may run.
package localdb

import (
	"context"
	"crypto/rand"
	"database/sql"
	"encoding/hex"
	"errors"
	"fmt"
	"net"
	"os"
	"os/exec"
	"path/filepath"
	"runtime"
	"strings"
	"syscall"
	"time"

	"github.com/go-sql-driver/mysql"
)

// Server is a running MariaDB.
type Server struct {
	dir  string
	port int
	lock *os.File
	cmd  *exec.Cmd
	done chan error
	dsn  string
}

const (
	database = "greypebble"
	user     = "greypebble"
	// startWithin is how long a start may take, recovery included.
	startWithin = 60 * time.Second
	stopWithin  = 30 * time.Second
)

// Start initialises the directory if it is new and starts the server on a free
// loopback port. The error is one line that says what is wrong.
func Start(ctx context.Context, dir string) (*Server, error) {
	dir, err := filepath.Abs(dir)
	if err != nil {
		return nil, err
	}
	programs, err := find("mariadbd", "mariadb-install-db")
	if err != nil {
		return nil, err
	}
	if err := os.MkdirAll(filepath.Join(dir, "tmp"), 0o700); err != nil {
		return nil, fmt.Errorf("data directory %s cannot be written: %w", dir, cause(err))
	}
	s := &Server{dir: dir}
	if err := s.takeLock(); err != nil {
		return nil, err
	}
	if err := s.start(ctx, programs); err != nil {
		_ = s.Stop()
		return nil, err
	}
	return s, nil
}

func (s *Server) start(ctx context.Context, programs map[string]string) error {
	if err := s.probeSpace(); err != nil {
		return err
	}
	if err := s.initialise(ctx, programs["mariadb-install-db"]); err != nil {
		return err
	}
	if err := s.launch(programs["mariadbd"]); err != nil {
		return err
	}
	if err := s.wait(ctx); err != nil {
		return err
	}
	return s.prepareUser(ctx)
}

// DSN for database/sql with the mysql driver.
func (s *Server) DSN() string { return s.dsn }

// Done reports when the server process has ended.
func (s *Server) Done() <-chan error { return s.done }

// find looks programs up on the path and where Debian keeps servers.
func find(names ...string) (map[string]string, error) {
	out := make(map[string]string)
	for _, n := range names {
		p, err := exec.LookPath(n)
		if err != nil {
			p = filepath.Join("/usr/sbin", n)
			if _, err := os.Stat(p); err != nil {
				return nil, fmt.Errorf("the program %s is missing; install Debian's package mariadb-server", n)
			}
		}
		out[n] = p
	}
	return out, nil
}

// cause drops the path the system error repeats.
func cause(err error) error {
	var p *os.PathError
	if errors.As(err, &p) {
		return p.Err
	}
	return err
}

// takeLock makes sure that no second server is started on the directory, which
// would hang. After a kill the lock is gone with its process.
func (s *Server) takeLock() error {
	f, err := os.OpenFile(filepath.Join(s.dir, "lock"), os.O_CREATE|os.O_RDWR, 0o600)
	if err != nil {
		return fmt.Errorf("data directory %s cannot be written: %w", s.dir, cause(err))
	}
	if err := syscall.Flock(int(f.Fd()), syscall.LOCK_EX|syscall.LOCK_NB); err != nil {
		_ = f.Close()
		return fmt.Errorf("data directory %s is in use by another Grey Pebble", s.dir)
	}
	s.lock = f
	return nil
}

// leastSpace is what a new data directory and its logs need, leastRoom what one
// that exists needs to go on.
const (
	leastSpace = 300 << 20
	leastRoom  = 64 << 20
)

func (s *Server) probeSpace() error {
	var fs syscall.Statfs_t
	if err := syscall.Statfs(s.dir, &fs); err != nil {
		return fmt.Errorf("data directory %s: %w", s.dir, err)
	}
	need := uint64(leastSpace)
	if _, err := os.Stat(s.path("ready")); err == nil {
		need = leastRoom
	}
	if free := fs.Bavail * uint64(fs.Bsize); free < need { //nolint:gosec // block size is positive
		return fmt.Errorf("data directory %s is full: %d MB free, %d needed", s.dir, free>>20, need>>20)
	}
	return nil
}

func (s *Server) path(name string) string { return filepath.Join(s.dir, name) }

// socket paths may be 107 bytes at most; a long data directory gets one in the
// system's directory for temporary files.
func (s *Server) socket() string {
	if p := s.path("sock"); len(p) <= 100 {
		return p
	}
	return filepath.Join(os.TempDir(), fmt.Sprintf("gp-%d.sock", os.Getpid()))
}

func asRoot(args []string) []string {
	if os.Geteuid() == 0 {
		return append(args, "--user=root")
	}
	return args
}

func (s *Server) initialise(ctx context.Context, program string) error {
	if _, err := os.Stat(s.path("ready")); err == nil {
		return nil
	}
	// A start that was cut off half-way leaves no "ready": begin again.
	if err := os.RemoveAll(s.path("data")); err != nil {
		return fmt.Errorf("data directory %s: %w", s.dir, cause(err))
	}
	args := asRoot([]string{"--no-defaults", "--datadir=" + s.path("data"), "--auth-root-authentication-method=normal",
		"--skip-test-db", "--skip-name-resolve"})
	out, err := exec.CommandContext(ctx, program, args...).CombinedOutput()
	if err != nil {
		return fmt.Errorf("MariaDB could not prepare %s: %s", s.dir, lastLine(string(out), err))
	}
	return nil
}

func lastLine(out string, err error) string {
	lines := strings.Split(strings.TrimSpace(out), "\n")
	for i := len(lines) - 1; i >= 0; i-- {
		if strings.Contains(lines[i], "ERROR") {
			return lines[i]
		}
	}
	if last := strings.TrimSpace(lines[len(lines)-1]); last != "" {
		return last
	}
	return err.Error()
}

func freePort() (int, error) {
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return 0, err
	}
	defer l.Close()
	return l.Addr().(*net.TCPAddr).Port, nil
}

func (s *Server) launch(program string) error {
	port, err := freePort()
	if err != nil {
		return fmt.Errorf("no free loopback port for MariaDB: %w", err)
	}
	s.port = port
	log, err := os.OpenFile(s.path("mariadb.log"), os.O_CREATE|os.O_APPEND|os.O_WRONLY, 0o600)
	if err != nil {
		return fmt.Errorf("data directory %s cannot be written: %w", s.dir, cause(err))
	}
	defer log.Close()
	args := asRoot([]string{"--no-defaults", "--datadir=" + s.path("data"), "--tmpdir=" + s.path("tmp"), "--socket=" + s.socket(),
		"--pid-file=" + s.path("pid"), "--bind-address=127.0.0.1", fmt.Sprintf("--port=%d", port), "--skip-name-resolve",
		"--character-set-server=utf8mb4", "--collation-server=utf8mb4_uca1400_ai_ci", "--default-time-zone=+00:00", "--local-infile=0"})
	s.cmd = exec.Command(program, args...)
	s.cmd.Stdout, s.cmd.Stderr = log, log
	// Its own process group, so that Ctrl-C reaches only us and we stop it in
	// order; and it ends with us if we are killed.
	s.cmd.SysProcAttr = &syscall.SysProcAttr{Setpgid: true, Pdeathsig: syscall.SIGTERM}
	s.done = make(chan error, 1)
	started := make(chan error, 1)
	go func() {
		// The death signal follows the thread that started the child, so this
		// thread stays until the child has ended.
		runtime.LockOSThread()
		defer runtime.UnlockOSThread()
		if err := s.cmd.Start(); err != nil {
			started <- err
			close(s.done)
			return
		}
		started <- nil
		s.done <- s.cmd.Wait()
		close(s.done)
	}()
	if err := <-started; err != nil {
		s.cmd = nil
		return fmt.Errorf("MariaDB did not start: %w", err)
	}
	return nil
}

func (s *Server) adminDSN() string {
	c := mysql.NewConfig()
	c.Net, c.Addr, c.User = "unix", s.socket(), "root"
	c.Timeout = 2 * time.Second
	return c.FormatDSN()
}

func (s *Server) wait(ctx context.Context) error {
	db, err := sql.Open("mysql", s.adminDSN())
	if err != nil {
		return err
	}
	defer db.Close()
	deadline := time.After(startWithin)
	for {
		if db.PingContext(ctx) == nil {
			return nil
		}
		select {
		case <-ctx.Done():
			return ctx.Err()
		case <-s.done:
			return fmt.Errorf("MariaDB stopped while starting; see %s", s.path("mariadb.log"))
		case <-deadline:
			return fmt.Errorf("MariaDB did not answer within %s; see %s", startWithin, s.path("mariadb.log"))
		case <-time.After(50 * time.Millisecond):
		}
	}
}

// prepareUser makes the database and the program's own user, whose password is
// kept beside the data.
func (s *Server) prepareUser(ctx context.Context) error {
	password, err := s.password()
	if err != nil {
		return err
	}
	db, err := sql.Open("mysql", s.adminDSN())
	if err != nil {
		return err
	}
	defer db.Close()
	for _, q := range []string{
		"CREATE DATABASE IF NOT EXISTS " + database,
		"CREATE USER IF NOT EXISTS '" + user + "'@'127.0.0.1'",
		"ALTER USER '" + user + "'@'127.0.0.1' IDENTIFIED BY '" + password + "'",
		"GRANT ALL ON " + database + ".* TO '" + user + "'@'127.0.0.1'",
	} {
		if _, err := db.ExecContext(ctx, q); err != nil {
			return fmt.Errorf("MariaDB in %s could not be prepared: %w", s.dir, err)
		}
	}
	c := mysql.NewConfig()
	c.Net, c.Addr, c.User, c.Passwd, c.DBName = "tcp", fmt.Sprintf("127.0.0.1:%d", s.port), user, password, database
	s.dsn = c.FormatDSN()
	if err := os.WriteFile(s.path("ready"), nil, 0o600); err != nil {
		return fmt.Errorf("data directory %s cannot be written: %w", s.dir, cause(err))
	}
	return nil
}

func (s *Server) password() (string, error) {
	file := s.path("password")
	if raw, err := os.ReadFile(file); err == nil && len(raw) == 32 {
		return string(raw), nil
	}
	raw := make([]byte, 16)
	if _, err := rand.Read(raw); err != nil {
		return "", err
	}
	p := hex.EncodeToString(raw)
	if err := os.WriteFile(file, []byte(p), 0o600); err != nil {
		return "", fmt.Errorf("data directory %s cannot be written: %w", s.dir, cause(err))
	}
	return p, nil
}

// Stop ends the server in order and waits for it.
func (s *Server) Stop() error {
	defer func() {
		if s.lock != nil {
			_ = s.lock.Close()
			s.lock = nil
		}
	}()
	if s.cmd == nil || s.cmd.Process == nil {
		return nil
	}
	_ = s.cmd.Process.Signal(syscall.SIGTERM)
	select {
	case <-s.done:
		return nil
	case <-time.After(stopWithin):
		_ = s.cmd.Process.Kill()
		<-s.done
		return fmt.Errorf("MariaDB did not stop within %s and was killed; it recovers at the next start", stopWithin)
	}
}

// Kill ends the server at once, as a power cut would; for tests of recovery.
func (s *Server) Kill() {
	_ = s.cmd.Process.Kill()
	<-s.done
	_ = s.lock.Close()
	s.lock, s.cmd = nil, nil
}
