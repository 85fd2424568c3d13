package playbook

import (
	"bytes"
	"fmt"
	"strconv"

	"go.yaml.in/yaml/v3"
)

// sourceTarget is a target as it is written in a file.
type sourceTarget struct {
	ID         string            `yaml:"id"`
	Name       string            `yaml:"name"`
	Latin      string            `yaml:"latin"`
	Idea       string            `yaml:"idea"`
	Origin     string            `yaml:"origin"`
	WeightA    float64           `yaml:"weight_a"`
	WeightB    float64           `yaml:"weight_b"`
	Longest    string            `yaml:"longest,omitempty"`
	Plenty     string            `yaml:"plenty,omitempty"`
	Senses     string            `yaml:"senses"`
	Column     []string          `yaml:"column,flow"`
	Feeds      sourceSpan        `yaml:"feeds,flow"`
	GoneBelow  string            `yaml:"gone_below,omitempty"`
	Runs       *sourceSpan       `yaml:"runs,flow,omitempty"`
	Best       []string          `yaml:"best,flow,omitempty"`
	Away       []string          `yaml:"away,flow,omitempty"`
	Ranges     []sourceRange     `yaml:"ranges,flow,omitempty"`
	Lives      []string          `yaml:"lives,flow"`
	Likes      []string          `yaml:"likes,flow,omitempty"`
	Eats       []string          `yaml:"eats,flow,omitempty"`
	Takes      []string          `yaml:"takes,flow,omitempty"`
	Hooks      string            `yaml:"hooks"`
	Strikes    sourceSpan        `yaml:"strikes,flow"`
	Hazard     string            `yaml:"hazard"`
	Handling   string            `yaml:"handling"`
	Stay       string            `yaml:"stay,omitempty"`
	StayCold   string            `yaml:"stay_cold,omitempty"`
	Bites      string            `yaml:"bites,omitempty"`
	Groundbait string            `yaml:"groundbait,omitempty"`
	Pauses     float64           `yaml:"pauses,omitempty"`
	Cautions   []string          `yaml:"cautions,omitempty"`
	Note       string            `yaml:"note,omitempty"`
	Says       map[string]string `yaml:"says,omitempty"`
}

type sourceSpan struct {
	From string `yaml:"from"`
	To   string `yaml:"to"`
}

type sourceRange struct {
	Coast string  `yaml:"coast"`
	South float64 `yaml:"south"`
	North float64 `yaml:"north"`
}

// Source is the target as a playbook file.
func (t *Target) Source() ([]byte, error) {
	number := func(v float64, unit string) string { return strconv.FormatFloat(v, 'g', -1, 64) + " " + unit }
	span := func(s Span, unit string) sourceSpan { return sourceSpan{number(s.From, unit), number(s.To, unit)} }
	out := sourceTarget{ID: t.ID, Name: t.Name, Latin: t.Latin, Idea: t.Idea, Origin: t.Origin, WeightA: t.Weight.A, WeightB: t.Weight.B,
		Plenty: t.Plenty, Senses: t.Senses, Column: t.Columns, Feeds: span(t.Feeds, "°C"), Best: t.Best, Away: t.Away, Lives: t.Lives,
		Likes: t.Likes,
		Eats:  t.Eats, Takes: t.Takes, Hooks: t.Hooks, Strikes: span(t.Strikes, "m"),
		Hazard: string(t.Hazard), Handling: t.Handling, Stay: t.Stay, StayCold: t.StayCold, Cautions: t.Cautions, Note: t.Note,
		Says: t.says}
	out.Groundbait = t.Groundbait
	if t.AllAtOnce {
		out.Bites = allAtOnce
	}
	for _, r := range t.Ranges {
		out.Ranges = append(out.Ranges, sourceRange{string(r.Coast), r.South, r.North})
	}
	if t.Pauses != 1 {
		out.Pauses = t.Pauses
	}
	if t.LongestM > 0 {
		out.Longest = number(t.LongestM, "m")
	}
	if t.GoneBelowC != nil {
		out.GoneBelow = number(*t.GoneBelowC, "°C")
	}
	if t.Runs != nil {
		s := span(*t.Runs, "°C")
		out.Runs = &s
	}
	return written(map[string]any{"targets": []sourceTarget{out}})
}

// Condition of a rule as one fills in a form: a measure with limits, or a word with
// values.
type Condition struct {
	// Of is a measure or a word.
	Of string
	// Above, Below and Soft are quantities with their units; for measures.
	Above, Below, Soft string
	// Any of these values; for words.
	Any []string
	// Not turns it round.
	Not bool
}

// CustomRule is a rule as one fills in a form.
type CustomRule struct {
	ID, Says, Family, Effect, Certainty string
	Targets                             []string
	// When all of these hold.
	When []Condition
}

// Source is the rule as a playbook file.
func (r CustomRule) Source() ([]byte, error) {
	if len(r.When) == 0 {
		return nil, fmt.Errorf("playbook: a rule needs at least one condition to apply in")
	}
	var all []map[string]any
	for _, c := range r.When {
		one := map[string]any{}
		if len(c.Any) > 0 {
			one[c.Of] = c.Any
		} else {
			limits := map[string]string{}
			for k, v := range map[string]string{"above": c.Above, "below": c.Below, "soft": c.Soft} {
				if v != "" {
					limits[k] = v
				}
			}
			one[c.Of] = limits
		}
		if c.Not {
			one = map[string]any{"not": one}
		}
		all = append(all, one)
	}
	rule := map[string]any{"id": r.ID, "says": r.Says, "idea": "mine", "origin": "my own", "family": r.Family, "effect": r.Effect,
		"certainty": r.Certainty, "when": map[string]any{"all": all}}
	if len(r.Targets) > 0 {
		rule["targets"] = r.Targets
	}
	return written(map[string]any{"rules": []any{rule}})
}

func written(v any) ([]byte, error) {
	var b bytes.Buffer
	e := yaml.NewEncoder(&b)
	e.SetIndent(2)
	if err := e.Encode(v); err != nil {
		return nil, fmt.Errorf("playbook: %w", err)
	}
	return b.Bytes(), e.Close()
}

// Vocabulary says what conditions can be of: measures with a unit they are given in,
// words with their values.
type Vocabulary struct {
	Name, Unit string
	Words      []string
}

// Vocabularies of this book, measures first.
func (b *Book) Vocabularies() []Vocabulary {
	var out []Vocabulary
	for _, m := range measures {
		out = append(out, Vocabulary{Name: m.name, Unit: unitOf[m.dimension]})
	}
	for w, k := range factWords {
		out = append(out, Vocabulary{Name: k.name, Words: b.WordsOf(Word(w))})
	}
	return out
}
