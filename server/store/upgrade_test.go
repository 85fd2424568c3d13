package store_test

import (
	"context"
	"database/sql"
	"fmt"
	"math/rand/v2"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/server/localdb"
	"greypebble/server/store"
	"greypebble/testkit"
)

// upgradeOnly in the environment makes the test binary a program that upgrades a database
// and ends, for others to kill.
const upgradeOnly = "GREYPEBBLE_UPGRADE"

func upgradeAndExit(dsn string) int {
	if err := upgraded(dsn); err != nil {
		fmt.Fprintln(os.Stderr, err)
		return 1
	}
	return 0
}

// fixtures of every schema there was, each with a row in every table it had, as
// mariadb-dump wrote them before the step after it existed; the oldest comes first.
func fixtures(t *testing.T) (files []string) {
	there, err := filepath.Glob("testdata/schema-*.sql")
	require.NoError(t, err)
	require.Len(t, there, len(steps(t))-1, "a fixture for each schema but the newest")
	for n := range there {
		files = append(files, fmt.Sprintf("testdata/schema-%d.sql", n+1))
	}
	require.ElementsMatch(t, there, files)
	return files
}

// steps up, in their order, each as its statements.
func steps(t *testing.T) (all [][]string) {
	files, err := filepath.Glob("migrations/*.sql")
	require.NoError(t, err)
	for _, file := range files {
		text, err := os.ReadFile(filepath.Clean(file))
		require.NoError(t, err)
		up, _, found := strings.Cut(string(text), "-- +goose Down")
		require.True(t, found, file)
		all = append(all, strings.SplitAfter(up, ";\n"))
	}
	return all
}

// trial is a private database that may be killed.
type trial struct {
	t   *testing.T
	dir string
	srv *localdb.Server
}

func (tr *trial) start() { require.NoError(tr.t, tr.tryStart()) }

func (tr *trial) tryStart() (err error) {
	tr.srv, err = localdb.Start(context.Background(), tr.dir)
	return err
}

// anew in a directory of its own.
func (tr *trial) anew() {
	tr.stop()
	tr.dir = filepath.Join(tr.t.TempDir(), "data")
	tr.start()
}

func (tr *trial) stop() {
	if tr.srv != nil {
		_ = tr.srv.Stop()
	}
}

func (tr *trial) exec(text string) {
	db, err := sql.Open("mysql", tr.srv.DSN()+"?multiStatements=true&time_zone=%27%2B00%3A00%27")
	require.NoError(tr.t, err)
	defer db.Close()
	_, err = db.Exec(text)
	require.NoError(tr.t, err)
}

func (tr *trial) tables() []string {
	return tr.rows("SELECT table_name FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY 1")
}

func (tr *trial) rows(query string) (out []string) {
	db, err := sql.Open("mysql", tr.srv.DSN()+"?time_zone=%27%2B00%3A00%27")
	require.NoError(tr.t, err)
	defer db.Close()
	rows, err := db.Query(query)
	require.NoError(tr.t, err)
	defer rows.Close()
	names, err := rows.Columns()
	require.NoError(tr.t, err)
	for rows.Next() {
		cells, into := make([]sql.RawBytes, len(names)), make([]any, len(names))
		for i := range cells {
			into[i] = &cells[i]
		}
		require.NoError(tr.t, rows.Scan(into...))
		var b strings.Builder
		for i, c := range cells {
			if i > 0 {
				b.WriteString("|")
			}
			b.Write(c)
		}
		out = append(out, b.String())
	}
	require.NoError(tr.t, rows.Err())
	return out
}

// all that is kept, table by table, without when the steps were taken.
func (tr *trial) all() (out []string) {
	for _, table := range tr.tables() {
		if table == "goose_db_version" {
			out = append(out, tr.rows("SELECT DISTINCT version_id, is_applied FROM goose_db_version ORDER BY 1")...)
			continue
		}
		out = append(out, tr.rows("SHOW CREATE TABLE `"+table+"`")...)
		lines := tr.rows("SELECT * FROM `" + table + "`")
		slices.Sort(lines)
		out = append(out, lines...)
	}
	return out
}

func (tr *trial) empty() {
	var b strings.Builder
	b.WriteString("SET FOREIGN_KEY_CHECKS = 0;")
	for _, table := range tr.tables() {
		b.WriteString("DROP TABLE `" + table + "`;")
	}
	tr.exec(b.String())
}

func (tr *trial) fill(file string) {
	tr.empty()
	text, err := os.ReadFile(filepath.Clean(file))
	require.NoError(tr.t, err)
	tr.exec("SET FOREIGN_KEY_CHECKS = 0;" + string(text))
}

// An upgrade that is killed at any moment, alone or with its database, is finished by the
// next start, and leaves what one that ran through leaves. A few power cuts in a thousand leave
// tables that MariaDB 10.11 itself cannot recover; then the copy does that the start command
// keeps from before (the fixture, here).
func TestAnUpgradeCutOffIsFinishedByTheNextStart(t *testing.T) {
	tr := &trial{t: t, dir: filepath.Join(t.TempDir(), "data")}
	tr.start()
	defer tr.stop()
	cuts, lost := 0, 0
	files := fixtures(t)
	for k, file := range files {
		tr.fill(file)
		began := time.Now()
		require.Zero(t, upgradeAndExit(tr.srv.DSN()), file)
		takes := time.Since(began)
		whole := tr.all()
		require.Greater(t, len(whole), 30, file)
		for n := range testkit.Times(30) {
			tr.fill(file)
			// An upgrade begins when the database has just begun too. One whose log is full of tables dropped and made
			// again a moment ago, which nobody's is, MariaDB 10.11 does not always recover ("Missing FILE_CREATE").
			require.NoError(t, tr.srv.Stop())
			tr.start()
			c := exec.Command(os.Args[0])
			c.Env = append(os.Environ(), upgradeOnly+"="+tr.srv.DSN())
			require.NoError(t, c.Start())
			time.Sleep(time.Duration(rand.Int64N(int64(takes * 5 / 4))))
			_ = c.Process.Kill()
			var err error
			// Power cuts of old schemas are tried when soaking: their steps do not change any more.
			cut := n%2 == 0 && (testkit.Soaking() || k >= len(files)-2)
			if cut {
				cuts++
				tr.srv.Kill()
				_ = c.Wait()
				err = tr.tryStart()
			} else {
				_ = c.Wait()
			}
			if err == nil {
				err = upgraded(tr.srv.DSN())
			}
			if cut && err != nil {
				lost++
				t.Logf("%s: %v", file, err)
				tr.anew()
				tr.fill(file)
				err = upgraded(tr.srv.DSN())
			}
			require.NoError(t, err, file)
			assert.Equal(t, whole, tr.all(), file)
		}
	}
	assert.LessOrEqual(t, lost, 1+cuts/50, "of %d power cuts", cuts)
}

func upgraded(dsn string) error {
	s, err := store.Open(context.Background(), dsn)
	if err != nil {
		return err
	}
	return s.Close()
}

// Whichever of a step's statements were the last to be done, it can be begun again: what the
// random ends above meet by luck.
func TestAStepBegunIsBegunAgain(t *testing.T) {
	tr := &trial{t: t, dir: filepath.Join(t.TempDir(), "data")}
	tr.start()
	defer tr.stop()
	steps := steps(t)
	keys := 0
	for i, file := range fixtures(t) {
		tr.fill(file)
		require.Zero(t, upgradeAndExit(tr.srv.DSN()), file)
		whole := tr.all()
		same := func(what string, done int, begun ...string) {
			tr.fill(file)
			tr.exec(strings.Join(begun, ""))
			require.Zero(t, upgradeAndExit(tr.srv.DSN()), "%s and %d statements%s", file, done, what)
			now := tr.all()
			require.Len(t, now, len(whole))
			for n := range whole {
				require.Equal(t, whole[n], now[n], "%s and %d statements%s", file, done, what)
			}
		}
		for done, next := range steps[i+1] {
			before := strings.Join(steps[i+1][:done], "")
			if done > 0 {
				same("", done, before)
			}
			// A power cut may leave a foreign key's index without the key.
			if m := addsKey.FindStringSubmatch(next); m != nil && slices.ContainsFunc(whole, func(s string) bool {
				return strings.Contains(s, "\n  KEY `"+m[2]+"` ")
			}) {
				keys++
				same(" and an index", done, before, fmt.Sprintf("ALTER TABLE %s ADD KEY %s %s;", m[1], m[2], m[3]))
			}
		}
	}
	require.Positive(t, keys)
}

// addsKey finds the table, the name and the columns of a foreign key a statement adds.
var addsKey = regexp.MustCompile(`ALTER TABLE (\w+) ADD CONSTRAINT (\w+) FOREIGN KEY[A-Z ]*(\([\w, ]+\))`)

// What somebody had entered by the first schema reads the same today.
func TestAnUpgradeLosesNothing(t *testing.T) {
	tr := &trial{t: t, dir: filepath.Join(t.TempDir(), "data")}
	tr.start()
	defer tr.stop()
	ctx := context.Background()
	for _, file := range fixtures(t) {
		tr.fill(file)
		s, err := store.Open(ctx, tr.srv.DSN())
		require.NoError(t, err)
		a, err := s.AnglerByName(ctx, "Heron")
		require.NoError(t, err, "capitals do not count")
		spots, err := s.Spots(ctx, a.ID)
		require.NoError(t, err)
		require.Len(t, spots, 1)
		rib := spots[0]
		assert.Equal(t, 10*time.Minute, rib.Offsets.LagHigh, file)
		assert.Equal(t, 10*time.Minute, rib.Offsets.LagLow, file)
		assert.InDelta(t, 1.1, rib.Offsets.FactorHigh, 1e-12)
		assert.Len(t, rib.Section, 3)
		require.Len(t, rib.Marks, 1)
		assert.Equal(t, "Mind the mud; it's soft.", rib.Note)
		log, sum, err := s.Spells(ctx, a.ID, store.Filter{})
		require.NoError(t, err)
		assert.Equal(t, store.Summary{Spells: 1, RodHours: 3, Catches: 1}, sum)
		require.Len(t, log[0].Readings, 1)
		assert.InDelta(t, 15.25, log[0].Readings[0].Value, 1e-12)
		readings, err := s.ReadingsOf(ctx, a.ID, rib.Water.ID, time.Date(2026, 1, 1, 0, 0, 0, 0, time.UTC),
			time.Date(2026, 2, 1, 0, 0, 0, 0, time.UTC))
		require.NoError(t, err)
		assert.GreaterOrEqual(t, len(readings), 2)
		require.NoError(t, s.Close())
	}
}

func TestAnOlderProgramRefusesANewerSchema(t *testing.T) {
	tr := &trial{t: t, dir: filepath.Join(t.TempDir(), "data")}
	tr.start()
	defer tr.stop()
	require.Zero(t, upgradeAndExit(tr.srv.DSN()))
	tr.exec("INSERT INTO goose_db_version (version_id, is_applied) VALUES (4711, TRUE)")
	before := tr.all()
	_, err := store.Open(context.Background(), tr.srv.DSN())
	require.ErrorContains(t, err, "made by a newer Grey Pebble (schema 4711")
	assert.NotContains(t, err.Error(), "\n")
	assert.Equal(t, before, tr.all())
}

// Whole is all or none, and sees what it wrote.
func TestWholeIsAllOrNone(t *testing.T) {
	ctx := context.Background()
	angler, water := someone(t)
	cut := fmt.Errorf("cut off")
	spot := spotAt(water)
	err := s.Whole(ctx, func(s *store.Store) error {
		_, err := s.PutSpot(ctx, angler, spot)
		require.NoError(t, err)
		seen, err := s.Spots(ctx, angler)
		require.NoError(t, err)
		assert.Len(t, seen, 1)
		return cut
	})
	require.ErrorIs(t, err, cut)
	seen, err := s.Spots(ctx, angler)
	require.NoError(t, err)
	assert.Empty(t, seen)
}
