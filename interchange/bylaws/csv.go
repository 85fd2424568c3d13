package bylaws

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"reflect"
	"slices"
	"strconv"
	"strings"

	"greypebble/core/bylaw"
	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

// splits a list in a cell.
const splits = "; "

// fields of a file in their order, by their names.
func fields() (out []string) {
	t := reflect.TypeFor[entry]()
	for i := range t.NumField() {
		name, _, _ := strings.Cut(t.Field(i).Tag.Get("yaml"), ",")
		out = append(out, name)
	}
	return out
}

// cells of an entry in the order of its fields.
func cells(e *entry) (out []string) {
	v := reflect.ValueOf(e).Elem()
	for i := range v.NumField() {
		switch x := v.Field(i).Interface().(type) {
		case string:
			out = append(out, x)
		case []string:
			out = append(out, strings.Join(x, splits))
		case bool:
			out = append(out, map[bool]string{true: "yes"}[x])
		case int:
			out = append(out, map[bool]string{true: strconv.Itoa(x)}[x != 0])
		case *int:
			s := ""
			if x != nil {
				s = strconv.Itoa(*x)
			}
			out = append(out, s)
		}
	}
	return out
}

// fill a field of an entry from a cell.
func fill(into reflect.Value, cell string) error {
	whole := func() (int, error) {
		n, err := strconv.Atoi(cell)
		if err != nil {
			return 0, fmt.Errorf("%q is no whole number", cell)
		}
		return n, nil
	}
	switch p := into.Addr().Interface().(type) {
	case *string:
		*p = cell
	case *[]string:
		for one := range strings.SplitSeq(cell, ";") {
			if one = strings.TrimSpace(one); one != "" {
				*p = append(*p, one)
			}
		}
	case *bool:
		switch strings.ToLower(cell) {
		case "", "no", "false", "0":
		case "yes", "true", "1":
			*p = true
		default:
			return fmt.Errorf("%q is neither yes nor no", cell)
		}
	case *int:
		if cell == "" {
			return nil
		}
		n, err := whole()
		*p = n
		return err
	case **int:
		if cell == "" {
			return nil
		}
		n, err := whole()
		*p = &n
		return err
	}
	return nil
}

// ReadCSV reads a table of rules. Errors name line and column and what was expected.
func ReadCSV(raw []byte) ([]Read, error) {
	t, err := table.Open(raw, nil)
	if err != nil {
		return nil, err
	}
	known := fields()
	for _, h := range t.Header {
		if name := strings.ToLower(strings.TrimSpace(h)); !slices.Contains(known, name) {
			return nil, parse.At(1, name, fmt.Sprintf("is unknown; known are %s", strings.Join(known, ", ")))
		}
	}
	var out []Read
	for {
		more, err := t.Next()
		if err != nil || !more {
			return out, err
		}
		if len(out) == Most {
			return nil, parse.At(t.Line(), "", fmt.Sprintf("more than %d rules; send the file in parts", Most))
		}
		r, err := readLine(t, known)
		if err != nil {
			return nil, err
		}
		out = append(out, Read{r, t.Line()})
	}
}

func readLine(t *table.Table, known []string) (bylaw.Rule, error) {
	var e entry
	v := reflect.ValueOf(&e).Elem()
	for i, name := range known {
		if _, there := t.Columns[name]; !there {
			continue
		}
		cell, err := t.Text(name)
		if err != nil {
			return bylaw.Rule{}, err
		}
		if err := fill(v.Field(i), strings.TrimSpace(cell)); err != nil {
			return bylaw.Rule{}, parse.At(t.Line(), name, err.Error())
		}
	}
	r, err := e.rule()
	if err != nil {
		return r, parse.At(t.Line(), fieldOf(err), err.Error())
	}
	return r, nil
}

// WriteCSV writes rules as [ReadCSV] reads them.
func WriteCSV(rules []bylaw.Rule) ([]byte, error) {
	var out bytes.Buffer
	w := csv.NewWriter(&out)
	if err := w.Write(fields()); err != nil {
		return nil, err
	}
	for i := range rules {
		e := entryOf(&rules[i])
		line := cells(&e)
		for j := range line {
			line[j] = table.Guarded(line[j])
		}
		if err := w.Write(line); err != nil {
			return nil, err
		}
	}
	w.Flush()
	return out.Bytes(), w.Error()
}
