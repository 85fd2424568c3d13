package account

import (
	"encoding/json"
	"fmt"

	"greypebble/core/quantity"
)

// Settings of a person: how they speak of measures and times.
type Settings struct {
	// Units they chose, each by itself.
	Units quantity.Units `json:"units"`
	// Week begins on "monday", "sunday" or "saturday".
	Week string `json:"week"`
	// Chosen says that they were asked.
	Chosen bool `json:"chosen"`
}

// Weeks are the days one may begin on.
var Weeks = []string{"monday", "sunday", "saturday"}

// SettingsOf what was stored; what is not there or cannot be read is metric.
func SettingsOf(raw []byte) Settings {
	s := Settings{Units: quantity.Metric, Week: Weeks[0]}
	if len(raw) == 0 {
		return s
	}
	if err := json.Unmarshal(raw, &s); err != nil || s.Validate() != nil {
		return Settings{Units: quantity.Metric, Week: Weeks[0]}
	}
	return s
}

// Validate refuses a unit or a day that is unknown.
func (s Settings) Validate() error {
	for _, w := range Weeks {
		if s.Week == w {
			return s.Units.Validate()
		}
	}
	return fmt.Errorf("account: a week begins on monday, sunday or saturday, not %q", s.Week)
}
