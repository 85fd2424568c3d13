package ahead

import (
	"context"
	"fmt"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/plan"
	"greypebble/core/playbook"
	"greypebble/interchange/usualcsv"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/desk"
)

// UsualMonth is a month's mean of a kind, with its spread.
type UsualMonth struct {
	Month  int     `json:"month" minimum:"1" maximum:"12"`
	Mean   float64 `json:"mean"`
	Spread float64 `json:"spread" exclusiveMinimum:"0" doc:"one standard deviation, of the natural logarithm for clarity"`
}

// UsualKind is a year of a kind of reading.
type UsualKind struct {
	Kind   string       `json:"kind" enum:"water_temp_c,clarity_secchi_m,wind_speed_ms"`
	Months []UsualMonth `json:"months" maxItems:"12" nullable:"false" doc:"those of which something is known, each once"`
}

type usualOfWaterOutput struct {
	Body struct {
		Kinds   []UsualKind `json:"kinds" nullable:"false" doc:"as entered"`
		Learned []UsualKind `json:"learned" nullable:"false" doc:"as your readings have it, of months with five days of them or more"`
	}
}

type putUsualInput struct {
	wire.ByID
	Body struct {
		Kinds []UsualKind `json:"kinds" maxItems:"3" nullable:"false" doc:"in place of all that was"`
	}
}

type seasonOut struct {
	Target string     `json:"target"`
	Name   string     `json:"name"`
	Months []string   `json:"months" nullable:"false" doc:"January first: away, slow, feeding, prime; there where no warmth is known"`
	Warms  *time.Time `json:"warms,omitempty" doc:"when the water next rises to what it feeds in, as usual"`
	Ahead  string     `json:"ahead" doc:"the next four weeks in a sentence"`
}

type waterSeasons struct {
	WaterID string       `json:"water_id" format:"uuid"`
	Water   string       `json:"water"`
	Warmth  []UsualMonth `json:"warmth" nullable:"false" doc:"usual temperature, °C, of the months somebody has told"`
	Seasons []seasonOut  `json:"seasons" nullable:"false"`
}

type warming struct {
	Water string    `json:"water"`
	Warms time.Time `json:"warms"`
}

type runOut struct {
	Target string    `json:"target"`
	Name   string    `json:"name"`
	Waters []warming `json:"waters" nullable:"false" doc:"the first to warm first"`
}

type bendOut struct {
	Bend  int      `json:"bend" doc:"counted from the mouth"`
	Spots []string `json:"spots" nullable:"false"`
}

type upRiver struct {
	Target string      `json:"target"`
	Name   string      `json:"name"`
	Water  string      `json:"water"`
	From   time.Time   `json:"from"`
	Bends  []bendOut   `json:"bends" nullable:"false" doc:"the first first, those without a spot of yours too"`
	Shares [][]float64 `json:"shares" nullable:"false" doc:"by day and bend: how likely the school lies there, of what has come"`
	Come   []float64   `json:"come" nullable:"false" doc:"by day: how likely it has come to the river"`
	Says   string      `json:"says"`
	Met    []runMetOut `json:"met" nullable:"false" doc:"of one's log this run, newest first, effort without a fish too"`
}

type runMetOut struct {
	Time     time.Time `json:"time"`
	Bend     int       `json:"bend"`
	Fish     int       `json:"fish"`
	RodHours float64   `json:"rod_hours"`
	WarmthC  *float64  `json:"warmth_c,omitempty" doc:"of the water then"`
	Read     bool      `json:"read,omitempty" doc:"somebody read it; else it is what is usual"`
}

type seasonsInput struct {
	From time.Time `query:"from" doc:"the year that begins then; now if left out"`
}

type seasonsOutput struct {
	Body struct {
		Waters  []waterSeasons `json:"waters" nullable:"false"`
		UpRiver []upRiver      `json:"up_river" nullable:"false" doc:"schools on their way up rivers whose bends you have counted"`
		Runs    []runOut       `json:"runs" nullable:"false" doc:"which water warms first, for fish of two of yours or more"`
	}
}

func (s service) registerSeasons(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/waters/{id}/usual", "usualOfWater", "What is usual of a water, month by month"), s.usual)
	web.Signed(api, s.Deps, web.Put("/waters/{id}/usual", "putUsualOfWater", "Write what is usual of a water"), s.putUsual)
	web.Signed(api, s.Deps, web.Get("/waters/{id}/usual.csv", "usualFile", "The same as a table (CSV)"), s.usualFile)
	web.Closed(api, s.Deps, web.Post("/usual/read", "readUsual", "What a table (CSV) of usual conditions holds; nothing is stored"),
		readUsual)
	web.Signed(api, s.Deps, web.Get("/seasons", "seasons", "A year by months for each of your waters and its fish"), s.seasons)
}

func (s service) usual(ctx context.Context, as *web.Scope, in *wire.ByID) (*usualOfWaterOutput, error) {
	// A water of somebody else has nothing to say.
	if _, err := s.Store.Water(ctx, as.Angler, in.ID); err != nil {
		return nil, err
	}
	all, err := s.Store.UsualOf(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	out := &usualOfWaterOutput{}
	out.Body.Kinds, out.Body.Learned = kindsOf(all[in.ID]), []UsualKind{}
	learned := conditions.Usual{}
	for _, k := range conditions.UsualKinds {
		days, err := s.Store.Observed(ctx, as.Angler, in.ID, k)
		if err != nil {
			return nil, err
		}
		year := conditions.Learn(k, days)
		if slices.ContainsFunc(year[:], conditions.Month.Known) {
			learned[k] = year
		}
	}
	out.Body.Learned = kindsOf(learned)
	return out, nil
}

type readUsualInput struct {
	RawBody []byte `contentType:"text/plain"`
}

type readUsualOutput struct {
	Body struct {
		Kinds []UsualKind `json:"kinds" nullable:"false"`
	}
}

func readUsual(_ context.Context, in *readUsualInput) (*readUsualOutput, error) {
	u, err := usualcsv.Read(in.RawBody)
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	out := &readUsualOutput{}
	out.Body.Kinds = kindsOf(u)
	return out, nil
}

func (s service) usualFile(ctx context.Context, as *web.Scope, in *wire.ByID) (*web.File, error) {
	if _, err := s.Store.Water(ctx, as.Angler, in.ID); err != nil {
		return nil, err
	}
	all, err := s.Store.UsualOf(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	return web.Attached("usual.csv", "text/csv; charset=utf-8", usualcsv.Write(all[in.ID])), nil
}

func kindsOf(u conditions.Usual) []UsualKind {
	out := []UsualKind{}
	for _, k := range conditions.UsualKinds {
		year, there := u[k]
		if !there {
			continue
		}
		out = append(out, UsualKind{Kind: string(k), Months: monthsOf(year)})
	}
	return out
}

func monthsOf(year conditions.Year) []UsualMonth {
	out := []UsualMonth{}
	for i, m := range year {
		if m.Known() {
			out = append(out, UsualMonth{i + 1, m.Mean, m.Spread})
		}
	}
	return out
}

func (s service) putUsual(ctx context.Context, as *web.Scope, in *putUsualInput) (*struct{}, error) {
	u := conditions.Usual{}
	for i, k := range in.Body.Kinds {
		if _, twice := u[conditions.Kind(k.Kind)]; twice {
			return nil, web.Wrong(fmt.Sprintf("body.kinds[%d].kind", i), fmt.Errorf("%s stands twice", k.Kind))
		}
		var year conditions.Year
		for m := range year {
			year[m] = conditions.Unknown()
		}
		for n, m := range k.Months {
			if year[m.Month-1].Known() {
				return nil, web.Wrong(fmt.Sprintf("body.kinds[%d].months[%d].month", i, n), fmt.Errorf("month %d stands twice", m.Month))
			}
			year[m.Month-1] = conditions.Month{Mean: m.Mean, Spread: m.Spread}
		}
		u[conditions.Kind(k.Kind)] = year
		if err := (conditions.Usual{conditions.Kind(k.Kind): year}).Validate(); err != nil {
			return nil, web.Wrong(fmt.Sprintf("body.kinds[%d]", i), err)
		}
	}
	return nil, s.Store.PutUsual(ctx, as.Angler, in.ID, u)
}

func (s service) seasons(ctx context.Context, as *web.Scope, in *seasonsInput) (*seasonsOutput, error) {
	from := as.At(in.From)
	spots, err := s.Desk.Spots(ctx, as.Angler, from)
	if err != nil {
		return nil, err
	}
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	usual, err := s.Store.UsualOf(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	out := &seasonsOutput{}
	out.Body.Waters, out.Body.Runs = []waterSeasons{}, []runOut{}
	years, lives := map[string]plan.Year{}, map[string][]string{}
	seen := map[uuid.UUID]bool{}
	for _, sp := range spots {
		id := sp.Water.ID
		if seen[id] {
			continue
		}
		seen[id] = true
		y := plan.Year{Usual: usual[id], South: sp.Lat < 0}
		one := waterSeasons{WaterID: id.String(), Water: sp.Water.Name, Warmth: []UsualMonth{}, Seasons: []seasonOut{}}
		if year, known := usual[id][conditions.WaterTemp]; known {
			one.Warmth = monthsOf(year)
		}
		years[sp.Water.Name] = y
		for i := range book.Targets {
			t := &book.Targets[i]
			if !slices.ContainsFunc(spots, func(k *desk.Laid) bool { return k.Water.ID == id && t.LivesAbout(k.Place, k.LatLon) }) {
				continue
			}
			lives[t.ID] = append(lives[t.ID], sp.Water.Name)
			for _, k := range y.Seasons([]*playbook.Target{t}, from) {
				one.Seasons = append(one.Seasons, seasonOf(&k))
			}
		}
		out.Body.Waters = append(out.Body.Waters, one)
	}
	for i := range book.Targets {
		t := &book.Targets[i]
		of := map[string]plan.Year{}
		for _, name := range lives[t.ID] {
			of[name] = years[name]
		}
		if runs := plan.Runs(t, of, from); len(runs) > 1 {
			r := runOut{Target: t.ID, Name: t.Name}
			for _, k := range runs {
				r.Waters = append(r.Waters, warming(k))
			}
			out.Body.Runs = append(out.Body.Runs, r)
		}
	}
	out.Body.UpRiver = upRivers(book, spots, from)
	return out, nil
}

func seasonOf(s *plan.Season) seasonOut {
	out := seasonOut{Target: s.Target.ID, Name: s.Target.Name, Ahead: s.Ahead}
	for _, m := range s.Months {
		out.Months = append(out.Months, string(m))
	}
	if !s.Warms.IsZero() {
		out.Warms = &s.Warms
	}
	return out
}
