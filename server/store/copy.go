package store

import (
	"context"
	"encoding/base64"
	"encoding/json"
	"fmt"
	"io"
	"strconv"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// A copy of an account is one JSON document: its tables in the order of [ownedTables], each
// a list of rows by column. Numbers are as stored, in SI with the unit in the column's
// name; times are RFC 3339 in UTC; what is no text is base64.
//
//	{"format": "grey-pebble-account", "schema": 11, "angler": {…}, "tables": {"station": [{…}], …}}
const copyFormat = "grey-pebble-account"

// column of a table, as the database describes it.
type column struct {
	Name string `db:"column_name"`
	Type string `db:"data_type"`
	// Of is the table the column speaks of, empty for none.
	Of string `db:"of"`
}

const columnQuery = `SELECT c.column_name, c.data_type, COALESCE(k.referenced_table_name, '') AS of
	FROM information_schema.columns c LEFT JOIN information_schema.key_column_usage k
	ON k.table_schema = c.table_schema AND k.table_name = c.table_name AND k.column_name = c.column_name
	AND k.referenced_table_name IS NOT NULL
	WHERE c.table_schema = DATABASE() AND c.table_name = ? ORDER BY c.ordinal_position`

// describe the columns of a table but for the angler's id, which another server gives anew.
func describe(ctx context.Context, q querier, table string) (out []column, err error) {
	var all []column
	if err := q.SelectContext(ctx, &all, columnQuery, table); err != nil {
		return nil, err
	}
	for _, c := range all {
		if c.Name != "angler_id" {
			out = append(out, c)
		}
	}
	return out, nil
}

// said is a stored value as the document has it.
func (c column) said(v any) (any, error) {
	switch x := v.(type) {
	case nil:
		return nil, nil
	case time.Time:
		if c.Type == "date" {
			return x.Format(time.DateOnly), nil
		}
		return x.UTC().Format(time.RFC3339Nano), nil
	case []byte:
		switch c.Type {
		case "varbinary", "binary", "blob", "longblob":
			return base64.StdEncoding.EncodeToString(x), nil
		case "double":
			return strconv.ParseFloat(string(x), 64)
		case "int", "tinyint":
			return strconv.ParseInt(string(x), 10, 64)
		}
		return string(x), nil
	}
	return v, nil
}

// copyAngler is what a copy has of the account itself. The secret keeps hidden places where
// they were put.
type copyAngler struct {
	Name     string          `json:"name"`
	Settings json.RawMessage `json:"settings,omitempty"`
	Secret   []byte          `json:"secret,omitempty"`
}

// WriteCopy of everything an angler entered, as of one moment.
func (s *Store) WriteCopy(ctx context.Context, angler uuid.UUID, now time.Time, w io.Writer) error {
	if _, err := s.Secret(ctx, angler); err != nil {
		return err
	}
	return s.snapshot(ctx, func(q querier) error {
		var who struct {
			Name     string `db:"name"`
			Settings []byte `db:"settings"`
			Secret   []byte `db:"secret"`
		}
		if err := notFound(q.GetContext(ctx, &who, `SELECT name, settings, secret FROM angler WHERE id = ?`, angler)); err != nil {
			return err
		}
		var schema int64
		if err := q.GetContext(ctx, &schema, `SELECT MAX(version_id) FROM `+versions+` WHERE is_applied`); err != nil {
			return err
		}
		head, err := json.Marshal(copyAngler{who.Name, who.Settings, who.Secret})
		if err != nil {
			return err
		}
		if _, err := fmt.Fprintf(w, "{\"format\": %q, \"schema\": %d, \"made_at\": %q,\n\"angler\": %s,\n\"tables\": {", copyFormat, schema,
			now.UTC().Format(time.RFC3339), head); err != nil {
			return err
		}
		for i, t := range ownedTables {
			if err := writeTable(ctx, q, t, angler, i > 0, w); err != nil {
				return fmt.Errorf("store: copying %s: %w", t.name, err)
			}
		}
		_, err = io.WriteString(w, "\n}}\n")
		return err
	})
}

func writeTable(ctx context.Context, q querier, t ownedTable, angler uuid.UUID, more bool, w io.Writer) error {
	columns, err := describe(ctx, q, t.name)
	if err != nil {
		return err
	}
	query := `SELECT `
	for i, c := range columns {
		if i > 0 {
			query += ", "
		}
		query += "`" + c.Name + "`"
	}
	query += ` FROM ` + t.name + ` WHERE ` + t.whose() + ` ORDER BY `
	if t.name == "station" {
		query += `reference_id IS NOT NULL, ` // those others follow come first
	}
	found, err := q.(sqlx.QueryerContext).QueryxContext(ctx, query+"1, 2", angler)
	if err != nil {
		return err
	}
	defer found.Close()
	comma := ""
	if more {
		comma = ","
	}
	if _, err := fmt.Fprintf(w, "%s\n%q: [", comma, t.name); err != nil {
		return err
	}
	for first := true; found.Next(); first = false {
		values, err := found.SliceScan()
		if err != nil {
			return err
		}
		row := make(map[string]any, len(columns))
		for i, c := range columns {
			if row[c.Name], err = c.said(values[i]); err != nil {
				return err
			}
		}
		raw, err := json.Marshal(row)
		if err != nil {
			return err
		}
		before := ",\n"
		if first {
			before = "\n"
		}
		if _, err := io.WriteString(w, before+string(raw)); err != nil {
			return err
		}
	}
	if err := found.Err(); err != nil {
		return err
	}
	_, err = io.WriteString(w, "]")
	return err
}
