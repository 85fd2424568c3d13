package quantity

import "time"

// Measure is a kind of measure people speak of, each in a unit they choose.
type Measure struct {
	ID        string
	Name      string
	Dimension Dimension
	// Choices of units for it, the metric one first; Metric and US are what those systems take.
	Choices []Choice
}

// Choice of a unit: how finely values are shown and entered in it.
type Choice struct {
	Unit     string
	Decimals int
	// Step of a field's arrows.
	Step float64
	// Fractions are written as parts of one: "1/4".
	Fractions bool
}

// Measures there are, in the order they are chosen in.
func Measures() []Measure {
	return []Measure{
		{"depth", "depths and levels", Length, []Choice{{"m", 2, 0.1, false}, {"ft", 1, 0.5, false}}},
		{"tackle", "lures, leaders, fish", Length, []Choice{{"cm", 0, 1, false}, {"in", 1, 0.5, false}, {"mm", 0, 5, false}}},
		{"distance", "how far off", Length, []Choice{{"m", 0, 5, false}, {"ft", 0, 10, false}, {"yd", 0, 5, false}}},
		{"wind", "wind", Speed, []Choice{{"m/s", 1, 1, false}, {"mph", 0, 1, false}, {"kn", 0, 1, false}, {"km/h", 0, 5, false}}},
		{"boat", "boat", Speed, []Choice{{"kn", 1, 0.5, false}, {"km/h", 1, 1, false}, {"mph", 1, 0.5, false}, {"m/s", 1, 0.2, false}}},
		{"run", "current and lures", Speed, []Choice{{"m/s", 2, 0.05, false}, {"ft/s", 1, 0.2, false}, {"kn", 1, 0.1, false},
			{"km/h", 1, 0.2, false}, {"mph", 1, 0.1, false}}},
		{"weight", "sinkers and lures", Mass, []Choice{{"g", 1, 1, false}, {"oz", 2, 0.25, true}}},
		{"line", "line", Mass, []Choice{{"kg", 1, 0.5, false}, {"lb", 0, 1, false}}},
		{"fish", "fish", Mass, []Choice{{"kg", 1, 0.1, false}, {"lb", 1, 0.5, false}}},
		{"temperature", "temperature", Temperature, []Choice{{"°C", 0, 1, false}, {"°F", 0, 1, false}}},
		{"pressure", "barometer", Pressure, []Choice{{"hPa", 0, 1, false}, {"inHg", 2, 0.05, false}, {"mmHg", 0, 1, false}}},
	}
}

// Of a measure, by its id: the unit chosen, or the metric one.
func (u Units) Of(measure string) string {
	for _, f := range u.fields() {
		if f.name == measure && f.chosen != "" {
			return f.chosen
		}
	}
	for _, m := range Measures() {
		if m.ID == measure {
			return m.Choices[0].Unit
		}
	}
	return ""
}

// Hours of the day are written in one of two ways.
const (
	Hours24 = "24 h"
	Hours12 = "12 h"
)

// ShowClock shows a time of day, as its zone has it: "15:04", "3:04 pm".
func (u Units) ShowClock(t time.Time) string {
	if u.Clock == Hours12 {
		return t.Format("3:04 pm")
	}
	return t.Format("15:04")
}

// Table is all that is known of units, for those who write them elsewhere.
type Table struct {
	Units     map[string]TableUnit     `json:"units"`
	Spellings map[string]string        `json:"spellings"`
	Fractions map[string]string        `json:"fractions"`
	Smaller   map[string]string        `json:"smaller"`
	Measures  map[string]TableMeasure  `json:"measures"`
	Systems   map[string]SystemChoices `json:"systems"`
}

// SystemChoices are the units of a system, by measure.
type SystemChoices map[string]string

// TableUnit converts: SI = value · scale + offset.
type TableUnit struct {
	Dimension string  `json:"dimension"`
	Scale     float64 `json:"scale"`
	Offset    float64 `json:"offset"`
}

// TableMeasure of a table.
type TableMeasure struct {
	Name      string        `json:"name"`
	Dimension string        `json:"dimension"`
	Choices   []TableChoice `json:"choices"`
}

// TableChoice of a measure.
type TableChoice struct {
	Unit      string  `json:"unit"`
	Decimals  int     `json:"decimals"`
	Step      float64 `json:"step"`
	Fractions bool    `json:"fractions"`
}

// TheTable of units.
func TheTable() Table {
	t := Table{map[string]TableUnit{}, spellings, fractions, smaller, map[string]TableMeasure{}, map[string]SystemChoices{}}
	for symbol, u := range units {
		t.Units[symbol] = TableUnit{u.dimension.String(), u.scale, u.offset}
	}
	for _, m := range Measures() {
		out := TableMeasure{m.Name, m.Dimension.String(), []TableChoice{}}
		for _, c := range m.Choices {
			out.Choices = append(out.Choices, TableChoice(c))
		}
		t.Measures[m.ID] = out
	}
	for name, u := range map[string]Units{"metric": Metric, "us": US} {
		t.Systems[name] = SystemChoices{"clock": u.Clock}
		for _, m := range Measures() {
			t.Systems[name][m.ID] = u.Of(m.ID)
		}
	}
	return t
}
