package store

import (
	"database/sql"
	"encoding/json"

	"greypebble/core/ground"
)

// hoursText of a timetable as it stands in a spot's row; NULL where it never shuts.
func hoursText(tt ground.Timetable) (sql.NullString, error) {
	if len(tt) == 0 {
		return sql.NullString{}, nil
	}
	raw, err := json.Marshal(tt)
	return sql.NullString{String: string(raw), Valid: true}, err
}

func hoursOf(text sql.NullString) (ground.Timetable, error) {
	if !text.Valid {
		return nil, nil
	}
	var out ground.Timetable
	err := json.Unmarshal([]byte(text.String), &out)
	return out, err
}
