// Package dump writes the whole database into one file and back, by MariaDB's own programs:
// as of one moment, while everyone goes on working. The file is gzipped SQL; its first line
// says what it is, its last that it is whole, and gzip keeps a checksum of all between.
package dump

import (
	"bufio"
	"compress/gzip"
	"context"
	"errors"
	"fmt"
	"io"
	"os"
	"os/exec"
	"path/filepath"
	"strings"

	"github.com/go-sql-driver/mysql"

	"greypebble/server/store"
)

const (
	first = "-- Grey Pebble backup, "
	last  = "-- Dump completed"
)

// Write the database of a DSN into a file, replaced when the new one is whole. It returns
// what it holds, in words.
func Write(ctx context.Context, dsn, file string) (about string, err error) {
	to, err := mysql.ParseDSN(dsn)
	if err != nil {
		return "", fmt.Errorf("dump: %w", err)
	}
	if about, err = store.Contents(ctx, dsn); err != nil {
		return "", err
	}
	part, err := os.CreateTemp(filepath.Dir(file), ".part-*")
	if err != nil {
		return "", fmt.Errorf("dump: %s cannot be written: %w", file, cause(err))
	}
	defer os.Remove(part.Name())
	defer part.Close()
	z := gzip.NewWriter(part)
	if _, err := fmt.Fprintf(z, "%s%s\n", first, about); err != nil {
		return "", err
	}
	if err := client(ctx, to, "mariadb-dump", nil, z, "--single-transaction", "--skip-lock-tables", "--skip-add-locks", "--hex-blob",
		"--no-tablespaces", "--skip-disable-keys", "--default-character-set=utf8mb4"); err != nil {
		return "", err
	}
	for _, end := range []func() error{z.Close, part.Sync, part.Close} {
		if err := end(); err != nil {
			return "", fmt.Errorf("dump: %s cannot be written: %w", file, cause(err))
		}
	}
	if _, err := Check(part.Name()); err != nil {
		return "", err
	}
	return about, os.Rename(part.Name(), file)
}

// Check that a file is a whole backup; it returns what it holds, in words.
func Check(file string) (about string, err error) {
	f, err := os.Open(file)
	if err != nil {
		return "", fmt.Errorf("dump: %s cannot be read: %w", file, cause(err))
	}
	defer f.Close()
	z, err := gzip.NewReader(bufio.NewReader(f))
	if err != nil {
		return "", fmt.Errorf("%s is no backup of Grey Pebble: it is not gzipped", file)
	}
	lines, end := bufio.NewReaderSize(z, 1<<20), ""
	head, err := lines.ReadString('\n')
	about, known := strings.CutPrefix(strings.TrimSuffix(head, "\n"), first)
	if err != nil || !known {
		return "", fmt.Errorf("%s is no backup of Grey Pebble: its first line says otherwise", file)
	}
	for {
		line, err := lines.ReadSlice('\n')
		if len(line) > 2 && err != bufio.ErrBufferFull {
			end = string(line[:min(len(line), 80)])
		}
		if err == io.EOF {
			break
		}
		if err != nil && err != bufio.ErrBufferFull {
			return "", fmt.Errorf("%s is damaged: %w", file, err)
		}
	}
	if !strings.HasPrefix(end, last) {
		return "", fmt.Errorf("%s is not whole: its end is missing", file)
	}
	return about, nil
}

// Restore a file into the database of a DSN, which must be empty unless it is to be replaced.
// A file that is not whole changes nothing.
func Restore(ctx context.Context, dsn, file string, replace bool) error {
	if _, err := Check(file); err != nil {
		return err
	}
	to, err := mysql.ParseDSN(dsn)
	if err != nil {
		return fmt.Errorf("dump: %w", err)
	}
	if err := store.Clear(ctx, dsn, replace); err != nil {
		return err
	}
	f, err := os.Open(file)
	if err != nil {
		return err
	}
	defer f.Close()
	z, err := gzip.NewReader(f)
	if err != nil {
		return err
	}
	return client(ctx, to, "mariadb", z, io.Discard, "--default-character-set=utf8mb4", "--batch")
}

// client runs one of MariaDB's programs on a database. The password goes by a file only its
// owner may read: arguments can be seen by everyone on the machine.
func client(ctx context.Context, to *mysql.Config, program string, in io.Reader, out io.Writer, options ...string) error {
	path, err := exec.LookPath(program)
	if err != nil {
		return fmt.Errorf("the program %s is missing; install Debian's package mariadb-client", program)
	}
	secret, err := os.CreateTemp("", "gp-*.cnf")
	if err != nil {
		return fmt.Errorf("dump: %w", err)
	}
	defer os.Remove(secret.Name())
	host, port, _ := strings.Cut(to.Addr, ":")
	if _, err := fmt.Fprintf(secret, "[client]\nprotocol=tcp\nhost=%q\nport=%q\nuser=%q\npassword=%q\n", host, port, to.User,
		to.Passwd); err != nil {
		return fmt.Errorf("dump: %w", err)
	}
	if err := secret.Close(); err != nil {
		return fmt.Errorf("dump: %w", err)
	}
	var says strings.Builder
	c := exec.CommandContext(ctx, path, append(append([]string{"--defaults-file=" + secret.Name()}, options...), to.DBName)...)
	c.Stdin, c.Stdout, c.Stderr = in, out, &says
	if err := c.Run(); err != nil {
		return fmt.Errorf("dump: %s: %w: %s", program, err, strings.TrimSpace(says.String()))
	}
	return nil
}

// cause drops the path the system error repeats.
func cause(err error) error {
	var p *os.PathError
	if errors.As(err, &p) {
		return p.Err
	}
	return err
}
