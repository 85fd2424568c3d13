package logbook

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/growth"
	"greypebble/core/tackle"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

func (s service) registerMeasured(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/growth", "growth",
		"Weight for length of a target by one's own fish, how fat they were by the month, and the longest and heaviest"), s.growth)
}

type growthInput struct {
	Target string `query:"target" required:"true" maxLength:"80"`
}

type bestOut struct {
	CatchID  string    `json:"catch_id"`
	Time     time.Time `json:"time"`
	TimeZone string    `json:"time_zone"`
	SpotName string    `json:"spot_name"`
	LengthM  *float64  `json:"length_m,omitempty"`
	MassKg   *float64  `json:"mass_kg,omitempty"`
	Fat      *float64  `json:"fat,omitempty" doc:"its weight by that of its length; 1 is usual"`
	Build    string    `json:"build,omitempty" enum:"fat,lean" doc:"for its length; left out where it is usual or not known"`
}

type fatMonth struct {
	Month int     `json:"month" minimum:"1" maximum:"12"`
	Fish  int     `json:"fish"`
	Fat   float64 `json:"fat" doc:"mean"`
}

type growthOutput struct {
	Body struct {
		Target     string     `json:"target"`
		TargetName string     `json:"target_name"`
		Weighed    int        `json:"weighed" doc:"fish with length and weight"`
		Fewest     int        `json:"fewest" doc:"it takes for a relation of one's own"`
		Own        bool       `json:"own" doc:"the relation is that of one's own fish; else the book's"`
		A          float64    `json:"a" doc:"grams at a centimetre"`
		B          float64    `json:"b"`
		BLow       *float64   `json:"b_low,omitempty" doc:"nineteen times in twenty it lies between"`
		BHigh      *float64   `json:"b_high,omitempty"`
		Longest    *bestOut   `json:"longest,omitempty"`
		Heaviest   *bestOut   `json:"heaviest,omitempty"`
		Months     []fatMonth `json:"months" nullable:"false" doc:"that weighed fish were caught in"`
	}
}

func (s service) growth(ctx context.Context, as *web.Scope, in *growthInput) (*growthOutput, error) {
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	target, err := n.book.Target(in.Target)
	if err != nil {
		return nil, web.Wrong("query.target", err)
	}
	list, err := s.Store.MeasuredOf(ctx, as.Angler, target.ID)
	if err != nil {
		return nil, err
	}
	out := &growthOutput{}
	b := &out.Body
	b.Target, b.TargetName, b.Fewest, b.A, b.B, b.Months = target.ID, target.Name, growth.Fewest, target.Weight.A, target.Weight.B,
		[]fatMonth{}
	var weighed []growth.Measured
	var inMonths []growth.InMonth
	for i := range list {
		if f, both := measuresOf(&list[i]); both {
			weighed = append(weighed, f)
			inMonths = append(inMonths, growth.InMonth{Measured: f, Month: list[i].CaughtAt.Month()})
		}
	}
	b.Weighed = len(weighed)
	usual := target.Weight
	if own, fitted := growth.Fit(weighed); fitted {
		b.Own, b.A, b.B, b.BLow, b.BHigh = true, own.A, own.B, &own.BLow, &own.BHigh
		usual = own.Curve
	}
	var longest, heaviest *store.MeasuredCatch
	for i := range list {
		c := &list[i]
		if c.LengthM != nil && (longest == nil || *c.LengthM > *longest.LengthM) {
			longest = c
		}
		if c.MassKg != nil && (heaviest == nil || *c.MassKg > *heaviest.MassKg) {
			heaviest = c
		}
	}
	months, err := growth.FatByMonth(inMonths, usual)
	if err != nil {
		return nil, err
	}
	for _, m := range months {
		b.Months = append(b.Months, fatMonth{int(m.Month), m.Fish, m.Mean})
	}
	b.Longest, b.Heaviest = bestOf(longest, usual), bestOf(heaviest, usual)
	return out, nil
}

// measuresOf a catch; false where one of both is missing.
func measuresOf(c *store.MeasuredCatch) (growth.Measured, bool) {
	if c.LengthM == nil || c.MassKg == nil {
		return growth.Measured{}, false
	}
	return growth.Measured{LengthM: *c.LengthM, MassKg: *c.MassKg}, true
}

func bestOf(c *store.MeasuredCatch, usual tackle.Curve) *bestOut {
	if c == nil {
		return nil
	}
	out := &bestOut{CatchID: c.ID.String(), Time: c.CaughtAt, TimeZone: c.TimeZone, SpotName: c.SpotName, LengthM: c.LengthM,
		MassKg: c.MassKg}
	if f, both := measuresOf(c); both {
		if fat, err := growth.Fat(f, usual); err == nil {
			out.Fat = &fat
			out.Build = map[growth.Build]string{growth.FatForIt: "fat", growth.LeanForIt: "lean"}[growth.BuildOf(fat)]
		}
	}
	return out
}
