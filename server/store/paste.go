package store

import (
	"context"
	"encoding/base64"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"slices"
	"strings"
	"time"

	"github.com/go-sql-driver/mysql"
	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/tide"
)

// CopyError says what is wrong with a copy of an account, and where.
type CopyError struct{ Where, Says string }

func (e CopyError) Error() string {
	if e.Where == "" {
		return e.Says
	}
	return e.Where + ": " + e.Says
}

// ErrNotEmpty says that an account holds something already.
var ErrNotEmpty = errors.New("store: the account is not empty")

// CopyChecks are what callers know of a copy's values and the database does not.
type CopyChecks struct {
	Settings func(raw []byte) error
	Text     func(s string) error
}

// Rows are written so many together, and no more than so many bytes of text.
const (
	mostTogether      = 100
	mostBytesTogether = 1 << 20
)

// ReadCopy of an account into one that is empty, all of it or nothing: rows keep their ids
// and revisions. What is wrong with it is a [CopyError].
func (s *Store) ReadCopy(ctx context.Context, angler uuid.UUID, r io.Reader, checks CopyChecks) error {
	once := false
	return s.Whole(ctx, func(s *Store) error {
		if once {
			return CopyError{"", "somebody else wrote at the same time; try again"}
		}
		once = true
		tx := s.db.(*sqlx.Tx)
		if err := rewritten(ctx, tx, angler); err != nil {
			return err
		}
		b, err := s.BelongingsOf(ctx, angler)
		if err != nil {
			return err
		}
		if !b.Empty() {
			return ErrNotEmpty
		}
		p := paste{ctx, tx, angler, json.NewDecoder(r), map[string]map[string]bool{}, checks}
		p.in.UseNumber()
		if err := p.document(); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, countCatches+` WHERE p.angler_id = ?`, angler); err != nil {
			return err
		}
		return s.sound(ctx, angler)
	})
}

// sound reads everything back the way the program does: what it cannot work with is refused
// before it is there.
func (s *Store) sound(ctx context.Context, angler uuid.UUID) error {
	stations, err := s.Stations(ctx, angler)
	if err != nil {
		return CopyError{"station", err.Error()}
	}
	for _, st := range stations {
		if st.Reference == nil {
			if _, err := tide.NewHarmonics(st.Constituents, st.Z0M); err != nil {
				return CopyError{"station " + st.Name, err.Error()}
			}
		}
	}
	spots, err := s.Spots(ctx, angler)
	if err != nil {
		return CopyError{"spot", err.Error()}
	}
	for _, sp := range spots {
		if err := sp.Spot.Validate(); err != nil {
			return CopyError{"spot " + sp.Name, err.Error()}
		}
	}
	waters, err := s.Waters(ctx, angler)
	if err != nil {
		return CopyError{"water", err.Error()}
	}
	for _, w := range waters {
		if _, err := time.LoadLocation(w.TimeZone); err != nil || w.TimeZone == "" {
			return CopyError{"water " + w.Name, fmt.Sprintf("there is no time zone %q", w.TimeZone)}
		}
		if o, err := s.Outline(ctx, angler, w.ID); err != nil {
			return CopyError{"outline of " + w.Name, err.Error()}
		} else if o != nil {
			if err := o.Validate(); err != nil {
				return CopyError{"outline of " + w.Name, err.Error()}
			}
		}
		if _, err := s.ZonesOf(ctx, angler, w.ID); err != nil {
			return CopyError{"zone of " + w.Name, err.Error()}
		}
		if _, err := s.Grid(ctx, angler, w.ID); err != nil && !errors.Is(err, ErrNotFound) {
			return CopyError{"grid of " + w.Name, err.Error()}
		}
	}
	return nil
}

// paste of a copy as it is read.
type paste struct {
	ctx    context.Context
	tx     *sqlx.Tx
	angler uuid.UUID
	in     *json.Decoder
	// ids of the rows written, by table: rows may only speak of those.
	ids    map[string]map[string]bool
	checks CopyChecks
}

func (p *paste) wrong(where string, err error) error {
	var syntax *json.SyntaxError
	if errors.As(err, &syntax) || errors.Is(err, io.ErrUnexpectedEOF) || errors.Is(err, io.EOF) {
		return CopyError{where, fmt.Sprintf("it is no JSON from byte %d on", p.in.InputOffset())}
	}
	var kind *json.UnmarshalTypeError
	if errors.As(err, &kind) {
		return CopyError{where, fmt.Sprintf("a %s stands where another kind of value belongs, at byte %d", kind.Value, p.in.InputOffset())}
	}
	return err
}

func (p *paste) open(where string, with json.Delim) error {
	t, err := p.in.Token()
	if err != nil {
		return p.wrong(where, err)
	}
	if t != with {
		return CopyError{where, fmt.Sprintf("it should begin with %q", with.String())}
	}
	return nil
}

// document of a copy, its parts in the order they were written.
func (p *paste) document() error {
	if err := p.open("", '{'); err != nil {
		return err
	}
	format, tables := "", false
	for p.in.More() {
		name, err := p.in.Token()
		if err != nil {
			return p.wrong("", err)
		}
		switch name {
		case "format":
			if err := p.in.Decode(&format); err != nil {
				return p.wrong("format", err)
			}
		case "schema":
			var at, ours int64
			if err := p.in.Decode(&at); err != nil {
				return p.wrong("schema", err)
			}
			if err := p.tx.GetContext(p.ctx, &ours, `SELECT MAX(version_id) FROM `+versions+` WHERE is_applied`); err != nil {
				return err
			}
			if at > ours {
				return CopyError{"schema", fmt.Sprintf("it was made by a newer Grey Pebble (schema %d, this one knows %d)", at, ours)}
			}
		case "made_at":
			var at string
			if err := p.in.Decode(&at); err != nil {
				return p.wrong("made_at", err)
			}
		case "angler":
			if err := p.account(); err != nil {
				return err
			}
		case "tables":
			if format != copyFormat {
				return CopyError{"format", fmt.Sprintf("it should say %q before its tables", copyFormat)}
			}
			if err := p.tables(); err != nil {
				return err
			}
			tables = true
		default:
			return CopyError{"", fmt.Sprintf("it has an unknown part %q", name)}
		}
	}
	if _, err := p.in.Token(); err != nil {
		return p.wrong("", err)
	}
	if _, err := p.in.Token(); !errors.Is(err, io.EOF) {
		return CopyError{"", "something stands after its end"}
	}
	if !tables {
		return CopyError{"", "it has no tables"}
	}
	return nil
}

func (p *paste) account() error {
	var who copyAngler
	if err := p.in.Decode(&who); err != nil {
		return p.wrong("angler", err)
	}
	if len(who.Settings) > 0 && string(who.Settings) != "null" {
		if err := p.checks.Settings(who.Settings); err != nil {
			return CopyError{"angler.settings", err.Error()}
		}
		if _, err := p.tx.ExecContext(p.ctx, `UPDATE angler SET settings = ? WHERE id = ?`, string(who.Settings), p.angler); err != nil {
			return err
		}
	}
	if len(who.Secret) == 0 {
		return nil
	}
	if len(who.Secret) != 32 {
		return CopyError{"angler.secret", "it should have 32 bytes"}
	}
	_, err := p.tx.ExecContext(p.ctx, `UPDATE angler SET secret = ? WHERE id = ?`, who.Secret, p.angler)
	return err
}

func (p *paste) tables() error {
	if err := p.open("tables", '{'); err != nil {
		return err
	}
	next := 0
	for p.in.More() {
		name, err := p.in.Token()
		if err != nil {
			return p.wrong("tables", err)
		}
		i := slices.IndexFunc(ownedTables, func(t ownedTable) bool { return t.name == name })
		switch {
		case i < 0:
			return CopyError{"tables", fmt.Sprintf("there is no table %q", name)}
		case i < next:
			return CopyError{"tables", fmt.Sprintf("%q stands after what speaks of it, or twice", name)}
		}
		next = i + 1
		if err := p.table(ownedTables[i]); err != nil {
			return err
		}
	}
	_, err := p.in.Token()
	return p.wrong("tables", err)
}

func (p *paste) table(t ownedTable) error {
	columns, err := describe(p.ctx, p.tx, t.name)
	if err != nil {
		return err
	}
	if err := p.open(t.name, '['); err != nil {
		return err
	}
	p.ids[t.name] = map[string]bool{}
	var rows [][]any
	var names []string // of the columns the rows at hand have
	n, from := 0, p.in.InputOffset()
	flush := func() error {
		err := p.insert(t, names, rows, n)
		rows, from = rows[:0], p.in.InputOffset()
		return err
	}
	for ; p.in.More(); n++ {
		where := fmt.Sprintf("%s[%d]", t.name, n)
		var row map[string]any
		if err := p.in.Decode(&row); err != nil {
			return p.wrong(where, err)
		}
		has, values, err := p.row(t, columns, row, where)
		if err != nil {
			return err
		}
		if len(rows) == mostTogether || !slices.Equal(has, names) || p.in.InputOffset()-from > mostBytesTogether {
			if err := flush(); err != nil {
				return err
			}
		}
		names, rows = has, append(rows, values)
	}
	if err := flush(); err != nil {
		return err
	}
	_, err = p.in.Token()
	return p.wrong(t.name, err)
}

// row of a table: the columns it has and their values, the angler's id among them where the
// table has one.
func (p *paste) row(t ownedTable, columns []column, row map[string]any, where string) (names []string, values []any, err error) {
	if t.of == "" {
		names, values = append(names, "angler_id"), append(values, p.angler)
	}
	left := len(row)
	for _, c := range columns {
		v, has := row[c.Name]
		if !has {
			continue
		}
		left--
		if v, err = c.stored(v); err == nil {
			if text, ok := v.(string); ok {
				err = p.checks.Text(text)
			}
		}
		if err != nil {
			return nil, nil, CopyError{where + "." + c.Name, err.Error()}
		}
		if id, ok := v.(string); ok && c.Of != "" && !p.ids[c.Of][strings.ToLower(id)] {
			return nil, nil, CopyError{where + "." + c.Name, fmt.Sprintf("it speaks of a %s that is not in the copy", c.Of)}
		}
		if id, ok := v.(string); ok && c.Name == "id" {
			p.ids[t.name][strings.ToLower(id)] = true
		}
		names, values = append(names, c.Name), append(values, v)
	}
	if left > 0 {
		for name := range row {
			if !slices.ContainsFunc(columns, func(c column) bool { return c.Name == name }) {
				return nil, nil, CopyError{where, fmt.Sprintf("%s has no column %q", t.name, name)}
			}
		}
	}
	return names, values, nil
}

// stored is a value of the document as the database takes it.
func (c column) stored(v any) (any, error) {
	switch x := v.(type) {
	case nil:
		return nil, nil
	case json.Number:
		switch c.Type {
		case "double":
			return x.Float64()
		case "int", "tinyint", "bigint":
			return x.Int64()
		}
	case bool:
		if c.Type == "tinyint" {
			return x, nil
		}
	case string:
		return c.text(x)
	}
	return nil, fmt.Errorf("a value of the kind %s belongs here", c.Type)
}

func (c column) text(x string) (any, error) {
	switch c.Type {
	case "uuid":
		id, err := uuid.Parse(x)
		if err != nil {
			return nil, errors.New("it is no id")
		}
		return id.String(), nil
	case "datetime", "timestamp":
		t, err := time.Parse(time.RFC3339Nano, x)
		if err != nil || t.Year() < 1900 || t.Year() > 2199 {
			return nil, errors.New("it is no time like 2026-11-20T09:30:00Z between the years 1900 and 2199")
		}
		return t.UTC(), nil
	case "date":
		if _, err := time.Parse(time.DateOnly, x); err != nil {
			return nil, errors.New("it is no date like 2026-11-20")
		}
		return x, nil
	case "varbinary", "binary", "blob", "longblob":
		raw, err := base64.StdEncoding.DecodeString(x)
		if err != nil {
			return nil, errors.New("it is no base64")
		}
		return raw, nil
	case "varchar", "char", "text", "longtext":
		return x, nil
	}
	return nil, fmt.Errorf("a value of the kind %s belongs here", c.Type)
}

// insert rows, the last of which is the one before number n.
func (p *paste) insert(t ownedTable, names []string, rows [][]any, n int) error {
	if len(rows) == 0 {
		return nil
	}
	one := "(" + strings.TrimSuffix(strings.Repeat("?,", len(names)), ",") + ")"
	query := "INSERT INTO " + t.name + " (`" + strings.Join(names, "`,`") + "`) VALUES " +
		strings.TrimSuffix(strings.Repeat(one+",", len(rows)), ",")
	args := make([]any, 0, len(rows)*len(names))
	for _, r := range rows {
		args = append(args, r...)
	}
	_, err := p.tx.ExecContext(p.ctx, query, args...)
	var m *mysql.MySQLError
	if !errors.As(err, &m) {
		return err
	}
	where := t.name
	var at int
	if i := strings.LastIndex(m.Message, "at row "); i >= 0 {
		if _, err := fmt.Sscanf(m.Message[i:], "at row %d", &at); err == nil {
			where = fmt.Sprintf("%s[%d]", t.name, n-len(rows)+at-1)
		}
	}
	switch m.Number {
	case 1062:
		return CopyError{where, "an id of it is taken: it stands in it twice, or the account it came from is still here"}
	case 1406:
		return CopyError{where, "a text is too long: " + m.Message}
	case 4025, 1264, 1366, 1048, 1364, 1265, 3819:
		return CopyError{where, "the database refuses it: " + m.Message}
	}
	return err
}
