package logbook

import (
	"context"
	"encoding/csv"
	"errors"
	"strconv"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/conditions"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

func (s service) registerDays(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/log/days", "logDays", "Effort and catch by the day, as the clock at the water has it"), s.days)
	web.Signed(api, s.Deps, web.Get("/interchange/log.csv", "logFile",
		"The log as CSV: a line for each spell, and one for each of its catches"),
		s.file)
}

type dayOut struct {
	Day      string  `json:"day" format:"date"`
	Spells   int     `json:"spells"`
	RodHours float64 `json:"rod_hours"`
	Catches  int     `json:"catches"`
}

type daysOutput struct {
	Body struct {
		Days []dayOut `json:"days" nullable:"false" doc:"that were fished, oldest first"`
	}
}

// longestSpan of days that are told at once.
const longestSpan = 800 * 24 * time.Hour

func (s service) days(ctx context.Context, as *web.Scope, in *logFilter) (*daysOutput, error) {
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	f, err := s.filter(n, in, store.Filter{})
	if err != nil {
		return nil, err
	}
	if f.To.IsZero() {
		f.To = as.Now()
	}
	if f.From.IsZero() {
		f.From = f.To.AddDate(-1, 0, 0)
	}
	if f.To.Sub(f.From) > longestSpan {
		return nil, web.Wrong("query.from", errors.New("expected a time within two years before the end"))
	}
	list, err := s.Store.Efforts(ctx, as.Angler, f)
	if err != nil {
		return nil, err
	}
	out := &daysOutput{}
	out.Body.Days = []dayOut{}
	zones := map[string]*time.Location{}
	for _, e := range list {
		if zones[e.TimeZone] == nil {
			if zones[e.TimeZone], err = time.LoadLocation(e.TimeZone); err != nil {
				return nil, err
			}
		}
		day := e.StartedAt.In(zones[e.TimeZone]).Format(time.DateOnly)
		if k := len(out.Body.Days); k == 0 || out.Body.Days[k-1].Day != day {
			out.Body.Days = append(out.Body.Days, dayOut{Day: day})
		}
		d := &out.Body.Days[len(out.Body.Days)-1]
		d.Spells, d.RodHours, d.Catches = d.Spells+1, d.RodHours+e.RodHours, d.Catches+e.Catches
	}
	return out, nil
}

type fileOutput struct {
	Type     string `header:"Content-Type"`
	Filename string `header:"Content-Disposition"`
	Body     []byte
}

// fileColumns of a log as CSV; of a catch, what its spell says is said again.
var fileColumns = []string{"what", "spell_id", "catch_id", "spot", "target", "time", "ended_at", "rods", "paused_s", "mark", "approach",
	"offering", "who", "rod", "length_m", "mass_kg", "girth_m", "measured", "kept", "hook_place", "hook", "tag_number", "tag_side",
	"tag_programme",
	"tide_level_m", "tide_stage", "light", "water_temp_c", "clarity_secchi_m", "wind_speed_ms", "note"}

func (s service) file(ctx context.Context, as *web.Scope, in *logFilter) (*fileOutput, error) {
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	f, err := s.filter(n, in, store.Filter{})
	if err != nil {
		return nil, err
	}
	var b strings.Builder
	w := csv.NewWriter(&b)
	if err := w.Write(fileColumns); err != nil {
		return nil, err
	}
	for f.Most = 1000; ; {
		spells, err := s.Store.Listed(ctx, as.Angler, f)
		if err != nil {
			return nil, err
		}
		for i := range spells {
			if err := w.WriteAll(lines(&spells[i])); err != nil {
				return nil, err
			}
		}
		if len(spells) < f.Most {
			break
		}
		last := &spells[len(spells)-1]
		f.After = &store.SpellAt{StartedAt: last.StartedAt, ID: last.ID}
	}
	return &fileOutput{"text/csv; charset=utf-8", `attachment; filename="log.csv"`, []byte(b.String())}, nil
}

// lines of a spell: its own, and one for each catch.
func lines(sp *store.Spell) [][]string {
	read := func(kind conditions.Kind) string {
		for _, r := range sp.Readings {
			if r.Kind == kind {
				return decimal(&r.Value)
			}
		}
		return ""
	}
	water := []string{decimal(&sp.TideLevelM), waterOf(sp.SpellWater).TideStage, sp.Light, read(conditions.WaterTemp),
		read(conditions.Clarity),
		read(conditions.WindSpeed)}
	stamp := func(t time.Time) string { return t.UTC().Format(time.RFC3339) }
	own := append([]string{"spell", sp.ID.String(), "", sp.SpotName, sp.Target, stamp(sp.StartedAt), stamp(sp.EndedAt),
		strconv.Itoa(sp.Rods), strconv.Itoa(sp.PausedS), sp.Mark, sp.Approach, sp.Offering, sp.Who, sp.Rod, "", "", "", "", "", "", "",
		"", "", ""},
		append(water, sp.Note)...)
	out := [][]string{own}
	for i := range sp.Catches {
		c := &sp.Catches[i]
		out = append(out, append([]string{"catch", sp.ID.String(), c.ID.String(), sp.SpotName, c.Target, stamp(c.CaughtAt), "", "", "",
			sp.Mark,
			sp.Approach, sp.Offering, c.Who, c.Rod, decimal(c.LengthM), decimal(c.MassKg), decimal(c.GirthM), c.Measured,
			strconv.FormatBool(c.Kept), c.HookPlace, c.Hook, c.TagNumber, c.TagSide, c.TagProgramme}, append(water, c.Note)...))
	}
	return out
}

func decimal(v *float64) string {
	if v == nil {
		return ""
	}
	return strconv.FormatFloat(*v, 'f', -1, 64)
}
