// Package localdb runs a private MariaDB on loopback, with its own data
// directory, socket and port, for the demo and the tests. It never touches a
// database server the system may run.
package localdb

import (
	"context"
	"errors"
	"fmt"
	"net"
	"os"
	"os/exec"
	"path/filepath"
	"time"

	"github.com/go-sql-driver/mysql"
)

// Server is a running MariaDB.
type Server struct {
	home home
	// as is whom the server runs as; nil for whoever runs this program.
	as   *identity
	port int
	// choose a port that is free now.
	choose func() (int, error)
	// ours keeps a second program out of the directory, theirs is held by the database too:
	// it is free only when that has ended, whoever started it.
	ours, theirs *os.File
	cmd          *exec.Cmd
	done         chan error
	dsn          string
}

const (
	// startWithin is how long a start may take, recovery included.
	startWithin = 60 * time.Second
	stopWithin  = 30 * time.Second
)

// Start initialises the directory if it is new and starts the server on a free
// loopback port. A start that was cut off at any moment can be begun again. The error is
// one line that says what is wrong.
func Start(ctx context.Context, dir string) (*Server, error) {
	dir, err := filepath.Abs(dir)
	if err != nil {
		return nil, err
	}
	programs, err := find("mariadbd", "mariadb-install-db")
	if err != nil {
		return nil, err
	}
	s := &Server{home: home(dir), choose: freePort}
	if err := os.MkdirAll(dir, 0o700); err != nil {
		return nil, s.home.unwritable(err)
	}
	if err := s.start(ctx, programs); err != nil {
		_ = s.Stop()
		return nil, err
	}
	return s, nil
}

func (s *Server) start(ctx context.Context, programs map[string]string) (err error) {
	if err := s.takeLocks(ctx); err != nil {
		return err
	}
	if err := s.home.probeSpace(); err != nil {
		return err
	}
	s.as = someoneElse(s.home)
	if err := s.home.lay(s.as); err != nil {
		return err
	}
	if err := s.initialise(ctx, programs["mariadb-install-db"]); err != nil {
		return err
	}
	password, err := s.home.password()
	if err != nil {
		return err
	}
	if err := s.home.writeFor(s.as, s.home.initFile(), accounts(password)); err != nil {
		return err
	}
	defer os.Remove(s.home.initFile())
	if err := s.listen(ctx, programs["mariadbd"], password); err != nil {
		return err
	}
	if err := s.home.writePort(s.port); err != nil {
		return err
	}
	return s.home.markReady()
}

// Attach is the DSN of a server that another program runs on a directory; false where none
// does.
func Attach(dir string) (dsn string, running bool, err error) {
	dir, err = filepath.Abs(dir)
	if err != nil {
		return "", false, err
	}
	h := home(dir)
	if _, err := os.Stat(h.path("ready")); err != nil {
		return "", false, nil //nolint:nilerr // there is no database yet
	}
	held, err := h.lock("lock")
	if err == nil {
		return "", false, held.Close()
	}
	s := Server{home: h}
	if s.port, err = h.port(); err != nil {
		return "", false, err
	}
	password, err := h.password()
	return s.appDSN(password), true, err
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

func freePort() (int, error) {
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return 0, err
	}
	defer l.Close()
	return l.Addr().(*net.TCPAddr).Port, nil
}

func (s *Server) appDSN(password string) string {
	c := mysql.NewConfig()
	c.Net, c.Addr, c.User, c.Passwd, c.DBName = "tcp", fmt.Sprintf("127.0.0.1:%d", s.port), account, password, database
	return c.FormatDSN()
}
