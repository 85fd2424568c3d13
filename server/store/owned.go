package store

import "fmt"

// ownedTable holds rows of anglers: by a column of its own, or by that of the row it belongs to.
type ownedTable struct {
	name string
	// of is the table whose row a row belongs to, by a column; empty where the angler's id
	// stands in the row itself.
	of, column string
}

// ownedTables hold everything a person enters, each after those its rows speak of: so they
// can be written in this order, and removed in the other.
var ownedTables = []ownedTable{
	{"station", "", ""}, {"station_constituent", "station", "station_id"},
	{"water", "", ""}, {"feed", "water", "water_id"}, {"surge", "water", "water_id"}, {"outline", "water", "water_id"},
	{"grid", "water", "water_id"}, {"zone", "water", "water_id"}, {"reading", "water", "water_id"},
	{"spot", "", ""}, {"section_point", "spot", "spot_id"}, {"mark", "spot", "spot_id"}, {"noted_turn", "spot", "spot_id"},
	{"outing", "", ""}, {"touch", "outing", "outing_id"}, {"log_import", "", ""},
	{"spell", "", ""}, {"spell_reading", "spell", "spell_id"}, {"spell_event", "spell", "spell_id"}, {"catch", "", ""},
	{"photo", "", ""}, {"sighting", "", ""}, {"tag_report", "", ""}, {"bylaw", "", ""}, {"own_care", "", ""},
	{"rule_change", "", ""}, {"school_choice", "", ""}, {"own_entry", "", ""}, {"going_limit", "", ""}, {"kit_item", "", ""},
	{"plan", "", ""}, {"trial", "", ""}, {"trial_block", "trial", "trial_id"}, {"usual", "water", "water_id"},
}

// keptApart are tables no export holds, and why.
var keptApart = map[string]string{
	"angler":        "the account itself: its settings go with an export, its password does not",
	"sessions":      "who is signed in here, on which device",
	"recovery_code": "keys to this account on this server",
	"invite":        "keys to this server",
	versions:        "which steps the schema took",
}

// whose is the condition that a row is an angler's; it takes their id.
func (t ownedTable) whose() string {
	if t.of == "" {
		return "angler_id = ?"
	}
	return fmt.Sprintf("%s IN (SELECT id FROM %s WHERE angler_id = ?)", t.column, t.of)
}
