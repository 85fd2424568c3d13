package store

import (
	"database/sql/driver"
	"encoding/json"
	"fmt"
	"reflect"
)

// AsJSON is a value that stands in its column as JSON; NULL where it is the zero value.
type AsJSON[T any] struct{ V T }

// Scan reads the column.
func (j *AsJSON[T]) Scan(from any) error {
	var zero T
	j.V = zero
	switch v := from.(type) {
	case nil:
		return nil
	case []byte:
		return json.Unmarshal(v, &j.V)
	case string:
		return json.Unmarshal([]byte(v), &j.V)
	}
	return fmt.Errorf("store: JSON is expected, not %T", from)
}

// Value writes it.
func (j AsJSON[T]) Value() (driver.Value, error) {
	if v := reflect.ValueOf(j.V); v.IsZero() || v.Kind() == reflect.Slice && v.Len() == 0 {
		return nil, nil //nolint:nilnil // that is NULL
	}
	raw, err := json.Marshal(j.V)
	return string(raw), err
}
