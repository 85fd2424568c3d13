package localdb

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"os"
	"os/exec"
	"runtime"
	"strings"
	"syscall"
	"time"

	_ "github.com/go-sql-driver/mysql" // the driver of wait
)

func (s *Server) asRoot(args []string) []string {
	if os.Geteuid() == 0 && s.as == nil {
		return append(args, "--user=root")
	}
	return args
}

func (s *Server) initialise(ctx context.Context, program string) error {
	if s.home.whole() {
		return nil
	}
	// A start that was cut off half-way: begin again.
	if err := os.RemoveAll(s.home.path("data")); err != nil {
		return s.home.unwritable(err)
	}
	if err := s.home.lay(s.as); err != nil {
		return err
	}
	args := s.asRoot([]string{"--no-defaults", "--datadir=" + s.home.path("data"), "--tmpdir=" + s.home.path("tmp"),
		"--auth-root-authentication-method=socket", "--auth-root-socket-user=" + account, "--skip-test-db", "--skip-name-resolve"})
	c := exec.CommandContext(ctx, program, args...)
	c.Dir = "/"
	// It holds the directory as long as any of its processes lives.
	c.ExtraFiles = []*os.File{s.theirs}
	c.SysProcAttr = &syscall.SysProcAttr{Setpgid: true, Credential: s.as.credential()}
	c.Cancel = func() error { return syscall.Kill(-c.Process.Pid, syscall.SIGKILL) }
	out, err := c.CombinedOutput()
	if err != nil {
		return fmt.Errorf("MariaDB could not prepare %s: %s", s.home, lastLine(string(out), err))
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

// portTries is how many free ports a start tries.
const portTries = 5

// errPortTaken says that somebody took the port between our finding it free and the database
// binding it.
var errPortTaken = errors.New("the port is taken")

// listen launches the database and waits until it answers; on another port where somebody took
// the one chosen, unless it is a port that others know.
func (s *Server) listen(ctx context.Context, program, password string) error {
	known := s.port != 0
	for try := 1; ; try++ {
		from := s.logged()
		if err := s.launch(program); err != nil {
			return err
		}
		s.dsn = s.appDSN(password)
		err := s.wait(ctx, from)
		if known || try == portTries || !errors.Is(err, errPortTaken) {
			return err
		}
		s.port = 0
	}
}

// logged is how long the database's log is, in bytes.
func (s *Server) logged() int64 {
	info, err := os.Stat(s.home.path("mariadb.log"))
	if err != nil {
		return 0
	}
	return info.Size()
}

// whyStopped is what the database wrote of its end since its log was that long.
func (s *Server) whyStopped(from int64) error {
	log := s.home.path("mariadb.log")
	text, err := os.ReadFile(log)
	if err != nil || int64(len(text)) < from {
		return fmt.Errorf("MariaDB stopped while starting; see %s", log)
	}
	said := string(text[from:])
	if strings.Contains(said, "Address already in use") {
		return fmt.Errorf("MariaDB stopped while starting, port %d of 127.0.0.1 (%w); see %s", s.port, errPortTaken, log)
	}
	return fmt.Errorf("MariaDB stopped while starting: %s; see %s", firstFault(said), log)
}

// firstFault a database's log tells: those behind it follow from it.
func firstFault(said string) string {
	for line := range strings.Lines(said) {
		if strings.Contains(line, "[ERROR]") {
			return strings.TrimSpace(line)
		}
	}
	return "it did not say why"
}

// pool is how much of the tables is kept in memory at most, taken as they are read. In MariaDB's usual 128 MB the index of
// a log of half a million spells does not stay: its totals take twice as long.
const pool = "384M"

func (s *Server) launch(program string) error {
	if s.port == 0 {
		port, err := s.choose()
		if err != nil {
			return fmt.Errorf("no free loopback port for MariaDB: %w", err)
		}
		s.port = port
	}
	log, err := os.OpenFile(s.home.path("mariadb.log"), os.O_CREATE|os.O_APPEND|os.O_WRONLY, 0o600)
	if err != nil {
		return s.home.unwritable(err)
	}
	defer log.Close()
	args := s.asRoot([]string{"--no-defaults", "--datadir=" + s.home.path("data"), "--tmpdir=" + s.home.path("tmp"),
		"--socket=" + s.home.socket(), "--pid-file=" + s.home.path("run/pid"), "--init-file=" + s.home.initFile(),
		"--bind-address=127.0.0.1", fmt.Sprintf("--port=%d", s.port), "--skip-name-resolve",
		"--character-set-server=utf8mb4", "--collation-server=utf8mb4_uca1400_ai_ci", "--default-time-zone=+00:00",
		"--local-infile=0", "--innodb-buffer-pool-size=" + pool, "--secure-file-priv=" + s.home.path("closed"), "--symbolic-links=0"})
	c := exec.Command(program, args...)
	c.Dir = "/"
	c.Stdout, c.Stderr = log, log
	c.ExtraFiles = []*os.File{s.theirs}
	// Its own process group, so that Ctrl-C reaches only us and we stop it in
	// order; and it ends with us if we are killed.
	c.SysProcAttr = &syscall.SysProcAttr{Setpgid: true, Pdeathsig: syscall.SIGTERM, Credential: s.as.credential()}
	done, started := make(chan error, 1), make(chan error, 1)
	s.cmd, s.done = c, done
	go func() {
		// The death signal follows the thread that started the child, so this
		// thread stays until the child has ended.
		runtime.LockOSThread()
		defer runtime.UnlockOSThread()
		defer close(done)
		err := c.Start()
		started <- err
		if err == nil {
			done <- c.Wait()
		}
	}()
	if err := <-started; err != nil {
		s.cmd = nil
		return fmt.Errorf("MariaDB did not start: %w", err)
	}
	return nil
}

// wait until the program's own account is let in; what the database's log says from there on is
// of this start.
func (s *Server) wait(ctx context.Context, from int64) error {
	db, err := sql.Open("mysql", s.dsn)
	if err != nil {
		return err
	}
	defer db.Close()
	deadline := time.After(startWithin)
	for {
		if answers(ctx, db) {
			return nil
		}
		select {
		case <-ctx.Done():
			return ctx.Err()
		case <-s.done:
			return s.whyStopped(from)
		case <-deadline:
			return fmt.Errorf("MariaDB did not answer within %s; see %s", startWithin, s.home.path("mariadb.log"))
		case <-time.After(50 * time.Millisecond):
		}
	}
}

// answers says whether the database lets us in; whoever else may hold the port may take a
// connection and never say a word.
func answers(ctx context.Context, db *sql.DB) bool {
	soon, cancel := context.WithTimeout(ctx, time.Second)
	defer cancel()
	return db.PingContext(soon) == nil
}

// Stop ends the server in order and waits for it.
func (s *Server) Stop() error {
	defer s.release()
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
	s.release()
	s.cmd = nil
}

// Restart a server that was ended at once, at the port it had; for tests of those who use it
// meanwhile.
func (s *Server) Restart(ctx context.Context) error {
	s.Kill()
	programs, err := find("mariadbd", "mariadb-install-db")
	if err != nil {
		return err
	}
	return s.start(ctx, programs)
}

func (s *Server) release() {
	for _, f := range []**os.File{&s.ours, &s.theirs} {
		if *f != nil {
			_ = (*f).Close()
			*f = nil
		}
	}
}
