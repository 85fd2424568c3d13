package logbook

import (
	"context"
	"encoding/csv"
	"errors"
	"strconv"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/growth"
	"greypebble/interchange/table"
	"greypebble/interchange/tagcsv"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

func (s service) registerTags(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/tags", "tags", "Tagged fish of one's log and of lists, and those that came again"), s.tags)
	web.Signed(api, s.Deps, web.Get("/interchange/tags.csv", "tagsFile", "Tagged fish as a programme takes them: a line for each"),
		s.tagsFile)
	web.Signed(api, s.Deps, web.TakesFile(web.Post("/interchange/tags", "importTags",
		"Take a list of tagged fish that others met (CSV), in place of the one of its name")), s.importTags)
	web.Signed(api, s.Deps, web.Delete("/interchange/tags", "deleteTagList", "Forget a list of tagged fish"),
		func(ctx context.Context, as *web.Scope, in *TagListName) (*struct{}, error) {
			return nil, s.Store.DeleteTagList(ctx, as.Angler, in.List)
		})
}

// TagListName is which list is meant.
type TagListName struct {
	List string `query:"list" required:"true" minLength:"1" maxLength:"120" doc:"its name"`
}

type tagListInput struct {
	TagListName
	ContentType string `header:"Content-Type"`
	RawBody     []byte `contentType:"text/csv"`
}

// TaggedOut is a tagged fish as it was met.
type TaggedOut struct {
	CatchID   string    `json:"catch_id,omitempty" doc:"left out of one that others met"`
	List      string    `json:"list,omitempty" doc:"it stands in, where others met it"`
	Number    string    `json:"number"`
	Side      string    `json:"side,omitempty"`
	Programme string    `json:"programme,omitempty"`
	Target    string    `json:"target"`
	Name      string    `json:"target_name"`
	Time      time.Time `json:"time"`
	TimeZone  string    `json:"time_zone"`
	SpotName  string    `json:"spot_name,omitempty"`
	LengthM   *float64  `json:"length_m,omitempty"`
}

type recaptureOut struct {
	First         TaggedOut `json:"first"`
	Again         TaggedOut `json:"again"`
	Days          float64   `json:"days" doc:"at liberty"`
	GrowthMPerDay *float64  `json:"growth_m_per_day,omitempty" doc:"where both were measured"`
	StraightM     float64   `json:"straight_m" doc:"between both places, a bee line"`
	OverWaterM    *float64  `json:"over_water_m,omitempty" doc:"the shortest way round the shores, where the water has an outline"`
	Doubt         string    `json:"doubt,omitempty" enum:"other kind,shrunk" doc:"why it may not be one fish"`
}

type tagListOut struct {
	Name string `json:"name"`
	Fish int    `json:"fish"`
}

type tagsOutput struct {
	Body struct {
		Tagged     []TaggedOut    `json:"tagged" nullable:"false" doc:"one's own, newest first"`
		Recaptures []recaptureOut `json:"recaptures" nullable:"false" doc:"of one's own with one's own or a list's, newest first"`
		Lists      []tagListOut   `json:"lists" nullable:"false"`
	}
}

// met is a fish as it was told, and the water it was met in where that is one's own.
type met struct {
	TaggedOut
	water uuid.UUID
}

func (s service) tags(ctx context.Context, as *web.Scope, _ *struct{}) (*tagsOutput, error) {
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	list, err := s.Store.TaggedCatches(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	reports, err := s.Store.TagReports(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	out := &tagsOutput{}
	b := &out.Body
	b.Tagged, b.Recaptures, b.Lists = []TaggedOut{}, []recaptureOut{}, []tagListOut{}
	told := map[growth.Tagged]met{}
	var fish []growth.Tagged
	for i := range list {
		f, one := n.ownTagged(&list[i])
		told[f] = one
		fish = append(fish, f)
		b.Tagged = append([]TaggedOut{one.TaggedOut}, b.Tagged...)
	}
	for i := range reports {
		r := &reports[i]
		f, one := n.reported(r)
		told[f] = one
		fish = append(fish, f)
		if k := len(b.Lists); k == 0 || b.Lists[k-1].Name != r.List {
			b.Lists = append(b.Lists, tagListOut{Name: r.List})
		}
		b.Lists[len(b.Lists)-1].Fish++
	}
	ways := overWater{s: s, as: as, outlines: map[uuid.UUID]*ground.Outline{}}
	for _, r := range growth.Recaptures(fish) {
		if !r.First.Own && !r.Again.Own {
			continue // others' alone
		}
		first, again := told[r.First], told[r.Again]
		one := recaptureOut{First: first.TaggedOut, Again: again.TaggedOut, Days: r.Days, StraightM: r.StraightM, Doubt: string(r.Doubt)}
		if r.Known {
			one.GrowthMPerDay = &r.GrowthMPerDay
		}
		if one.OverWaterM, err = ways.between(ctx, first, again, r); err != nil {
			return nil, err
		}
		b.Recaptures = append(b.Recaptures, one)
	}
	return out, nil
}

func (n namer) ownTagged(c *store.MeasuredCatch) (growth.Tagged, met) {
	one := met{TaggedOut{CatchID: c.ID.String(), Number: c.TagNumber, Side: c.TagSide, Programme: c.TagProgramme, Target: c.Target,
		Time: c.CaughtAt, TimeZone: c.TimeZone, SpotName: c.SpotName, LengthM: c.LengthM}, c.WaterID}
	one.Name, _ = n.target(c.Target)
	f := growth.Tagged{Number: c.TagNumber, Programme: c.TagProgramme, Target: c.Target, Time: c.CaughtAt,
		At: ground.LatLon{Lat: c.Lat, Lon: c.Lon}, Own: true}
	if c.LengthM != nil {
		f.LengthM = *c.LengthM
	}
	return f, one
}

// reported is a fish of a list. What kind it is may not be said; then it is none that could be doubted.
func (n namer) reported(r *store.TagReport) (growth.Tagged, met) {
	one := met{TaggedOut: TaggedOut{List: r.List, Number: r.Number, Programme: r.Programme, Target: r.Species, Name: r.Species,
		Time:     r.MetAt,
		TimeZone: "UTC", LengthM: r.LengthM}}
	if t, err := n.book.Target(r.Species); err == nil {
		one.Target, one.Name = t.ID, t.Name
	}
	f := growth.Tagged{Number: r.Number, Programme: r.Programme, Target: one.Target, Time: r.MetAt,
		At: ground.LatLon{Lat: r.Lat, Lon: r.Lon}}
	if r.LengthM != nil {
		f.LengthM = *r.LengthM
	}
	return f, one
}

// overWater finds ways of fish in the outlines of one's waters.
type overWater struct {
	s        service
	as       *web.Scope
	outlines map[uuid.UUID]*ground.Outline
}

// between two meetings in one water, or one in it and one told by position; nil where no way is known.
func (o *overWater) between(ctx context.Context, first, again met, r growth.Recapture) (*float64, error) {
	water := first.water
	if water == uuid.Nil {
		water = again.water
	}
	if first.water != uuid.Nil && again.water != uuid.Nil && first.water != again.water {
		return nil, nil
	}
	shore, asked := o.outlines[water]
	if !asked {
		var err error
		if shore, err = o.s.Store.Outline(ctx, o.as.Angler, water); err != nil && !errors.Is(err, store.ErrNotFound) {
			return nil, err
		}
		o.outlines[water] = shore
	}
	if shore == nil || r.StraightM > furthestOverWater {
		return nil, nil
	}
	m, ok := shore.OverWater(r.First.At, r.Again.At)
	if !ok {
		return nil, nil
	}
	return &m, nil
}

// furthestOverWater apart are places whose way is looked for, metres: further off, the outline of one water says little.
const furthestOverWater = 60_000

func (s service) importTags(ctx context.Context, as *web.Scope, in *tagListInput) (*struct{}, error) {
	raw, err := web.Uploaded(in.ContentType, in.RawBody)
	if err != nil {
		return nil, err
	}
	list, err := tagcsv.Read(raw, time.UTC)
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	if len(list) == 0 {
		return nil, web.Wrong("body", errors.New("the list holds no fish"))
	}
	rows := make([]store.TagReport, len(list))
	for i, f := range list {
		rows[i] = store.TagReport{ID: uuid.New(), Number: f.Number, Programme: f.Programme, Species: f.Species, MetAt: f.Met, Lat: f.Lat,
			Lon: f.Lon}
		if f.LengthM > 0 {
			rows[i].LengthM = &list[i].LengthM
		}
	}
	return nil, s.Store.PutTagList(ctx, as.Angler, in.List, rows)
}

func (s service) tagsFile(ctx context.Context, as *web.Scope, _ *struct{}) (*web.File, error) {
	list, err := s.Store.TaggedCatches(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	var b strings.Builder
	w := csv.NewWriter(&b)
	lines := [][]string{{"tag_number", "tag_side", "tag_programme", "species", "time", "lat", "lon", "length_m", "mass_kg"}}
	place := func(v float64) string { return strconv.FormatFloat(v, 'f', 5, 64) }
	for i := range list {
		c := &list[i]
		lines = append(lines, []string{table.Guarded(c.TagNumber), c.TagSide, table.Guarded(c.TagProgramme), c.Target,
			c.CaughtAt.UTC().Format(time.RFC3339),
			place(c.Lat),
			place(c.Lon), decimal(c.LengthM), decimal(c.MassKg)})
	}
	if err := w.WriteAll(lines); err != nil {
		return nil, err
	}
	return web.Attached("tags.csv", "text/csv; charset=utf-8", []byte(b.String())), nil
}
