package wire

import (
	"errors"
	"fmt"
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

// SpotBody is a spot as its owner writes it.
type SpotBody struct {
	WaterID    uuid.UUID      `json:"water_id" format:"uuid"`
	Name       string         `json:"name" minLength:"1" maxLength:"80"`
	Place      string         `json:"place" doc:"what kind of place it is"`
	Note       string         `json:"note,omitempty" maxLength:"400"`
	Hazards    string         `json:"hazards,omitempty" maxLength:"400"`
	Hours      []HoursBody    `json:"hours,omitempty" maxItems:"20" nullable:"false" doc:"of a gate, pier or lock; none: it never shuts"`
	Fee        string         `json:"fee,omitempty" maxLength:"200"`
	Parking    string         `json:"parking,omitempty" maxLength:"200"`
	Bend       int            `json:"bend,omitempty" minimum:"0" maximum:"60" doc:"of a river, counted from the mouth; 0: not said"`
	Bottom     string         `json:"bottom,omitempty"`
	Lat        float64        `json:"lat" minimum:"-90" maximum:"90"`
	Lon        float64        `json:"lon" minimum:"-180" maximum:"180"`
	FacesDeg   *float64       `json:"faces_deg,omitempty" minimum:"0" maximum:"360" doc:"the way it looks out"`
	StandM     *float64       `json:"stand_m,omitempty" minimum:"-20" maximum:"100" doc:"how high one stands; else the higher of the ways"`
	Public     bool           `json:"public,omitempty" doc:"may leave in an export without being asked for"`
	Shape      *ShapeBody     `json:"shape,omitempty" doc:"a line or an area, where a point does not do"`
	Manner     string         `json:"manner" enum:"on foot,wading,kayak,boat"`
	Manners    []string       `json:"manners,omitempty" maxItems:"3" nullable:"false" doc:"further manners one may go there by"`
	DraughtM   float64        `json:"draught_m,omitempty" doc:"of a boat"`
	In         PassageBody    `json:"in" doc:"the critical point of the way in"`
	Out        PassageBody    `json:"out" doc:"of the way back; it may lie lower: that is how one is cut off"`
	Section    []SectionPoint `json:"section,omitempty" maxItems:"500" nullable:"false" doc:"from where one stands outwards"`
	SectionAt  *LatLon        `json:"section_from,omitempty" doc:"where the section begins"`
	BearingDeg float64        `json:"section_bearing_deg,omitempty" doc:"the way it runs"`
	Marks      []MarkBody     `json:"marks,omitempty" maxItems:"100" nullable:"false"`
}

// HoursBody are hours of a gate on some days of the week within a season, by the place's own clock.
type HoursBody struct {
	Days   []string `json:"days" minItems:"1" maxItems:"7" nullable:"false" enum:"sun,mon,tue,wed,thu,fri,sat"`
	FromMD int      `json:"from_md,omitempty" minimum:"0" maximum:"1231" doc:"first day of its season as month × 100 + day; 0 is all year"`
	ToMD   int      `json:"to_md,omitempty" minimum:"0" maximum:"1231" doc:"last day of its season"`
	Opens  string   `json:"opens" pattern:"^[0-2][0-9]:[0-5][0-9]$"`
	Closes string   `json:"closes" pattern:"^[0-2][0-9]:[0-5][0-9]$" doc:"no later than it opens: the next day"`
}

// weekdays as they are written, Sunday first as the library counts them.
var weekdays = []string{"sun", "mon", "tue", "wed", "thu", "fri", "sat"}

func (b HoursBody) hours() (ground.Hours, error) {
	h := ground.Hours{From: b.FromMD, To: b.ToMD, Opens: minute(b.Opens), Closes: minute(b.Closes)}
	for _, d := range b.Days {
		h.Days = append(h.Days, time.Weekday(slices.Index(weekdays, d)))
	}
	return h, h.Validate()
}

// minute of the day that "06:30" is; what is no time of day is past the last.
func minute(text string) int {
	var h, m int
	if _, err := fmt.Sscanf(text, "%d:%d", &h, &m); err != nil {
		return -1
	}
	return h*60 + m
}

func hoursOut(tt ground.Timetable) []HoursBody {
	var out []HoursBody
	for _, h := range tt {
		b := HoursBody{FromMD: h.From, ToMD: h.To, Opens: clock(h.Opens), Closes: clock(h.Closes)}
		for _, d := range h.Days {
			b.Days = append(b.Days, weekdays[d])
		}
		out = append(out, b)
	}
	return out
}

func clock(minute int) string { return fmt.Sprintf("%02d:%02d", minute/60, minute%60) }

// ShapeBody is a line or an area.
type ShapeBody struct {
	Area   bool     `json:"area"`
	Points []LatLon `json:"points" minItems:"2" maxItems:"5000" nullable:"false"`
}

// PassageBody is the critical point of a way.
type PassageBody struct {
	Name       string  `json:"name" maxLength:"60"`
	ElevationM float64 `json:"elevation_m"`
	Clear      bool    `json:"clear,omitempty" doc:"no depth is in the way: it is open at any tide"`
}

// MarkBody is a feature of a spot.
type MarkBody struct {
	ID         uuid.UUID `json:"id" format:"uuid"`
	Name       string    `json:"name" minLength:"1" maxLength:"60"`
	Kind       string    `json:"kind"`
	Bottom     string    `json:"bottom,omitempty"`
	DistanceM  float64   `json:"distance_m"`
	ElevationM *float64  `json:"elevation_m,omitempty" doc:"that of the section at its distance if left out"`
	At         *LatLon   `json:"at,omitempty"`
	MinM       float64   `json:"fishable_min_m,omitempty" doc:"least depth worth a cast"`
	MaxM       float64   `json:"fishable_max_m,omitempty" doc:"greatest; 0: none"`
	Line       string    `json:"line,omitempty" maxLength:"40" doc:"what the ribbon writes where the tide crosses it"`
	Note       string    `json:"note,omitempty" maxLength:"400"`
	Snag       bool      `json:"snag,omitempty"`
}

// Shape as it is sent; nil for none.
func Shape(s *ground.Shape) *ShapeBody {
	if s == nil {
		return nil
	}
	return &ShapeBody{s.Area, LatLons(s.Points)}
}

func position(p *LatLon) *ground.LatLon {
	if p == nil {
		return nil
	}
	at := ground.LatLon(*p)
	return &at
}

func positionOut(p *ground.LatLon) *LatLon {
	if p == nil {
		return nil
	}
	at := LatLon(*p)
	return &at
}

// Spot that was written, checked by the core; errors name the field.
func (b SpotBody) Spot(id uuid.UUID) (store.Spot, error) {
	sp := store.Spot{ID: id, Water: store.Water{ID: b.WaterID}, Spot: spot.Spot{Name: b.Name, Place: b.Place, Note: b.Note,
		Hazards: b.Hazards, Bottom: b.Bottom, LatLon: ground.LatLon{Lat: b.Lat, Lon: b.Lon}, FacesDeg: b.FacesDeg, StandM: b.StandM,
		Public: b.Public, Fee: b.Fee, Parking: b.Parking, Bend: b.Bend,
		SectionFrom: position(b.SectionAt), SectionBearing: b.BearingDeg, Access: ground.Access{Manner: ground.Manner(b.Manner),
			Others: manners(b.Manners),
			In:     ground.Passage(b.In), Out: ground.Passage(b.Out), DraughtM: b.DraughtM}}}
	if b.Shape != nil {
		sp.Shape = &ground.Shape{Area: b.Shape.Area, Points: Ground(b.Shape.Points)}
	}
	for i, k := range b.Hours {
		h, err := k.hours()
		if err != nil {
			return sp, web.Wrong(fmt.Sprintf("body.hours[%d]", i), err)
		}
		sp.Timetable = append(sp.Timetable, h)
	}
	for _, p := range b.Section {
		sp.Section = append(sp.Section, ground.Point(p))
	}
	if err := Checked(sp.Validate()); err != nil {
		return sp, err
	}
	for i, m := range b.Marks {
		k := ground.Mark{ID: m.ID.String(), Name: m.Name, Kind: ground.MarkKind(m.Kind), Bottom: m.Bottom, DistanceM: m.DistanceM,
			Fishable: ground.Depths{MinM: m.MinM, MaxM: m.MaxM}, Line: m.Line, Note: m.Note, Snag: m.Snag, At: position(m.At)}
		if m.ElevationM != nil {
			k.ElevationM = *m.ElevationM
		} else {
			var err error
			if k.ElevationM, err = sp.HeightOf(m.Name, m.DistanceM); err != nil {
				return sp, web.Wrong(fmt.Sprintf("body.marks[%d].elevation_m", i), err)
			}
		}
		sp.Marks = append(sp.Marks, k)
	}
	return sp, Checked(sp.Validate())
}

func manners(words []string) (out []ground.Manner) {
	for _, w := range words {
		out = append(out, ground.Manner(w))
	}
	return out
}

// MannersOut are manners as they are sent; never nil.
func MannersOut(list []ground.Manner) []string {
	out := []string{}
	for _, m := range list {
		out = append(out, string(m))
	}
	return out
}

// Checked turns the core's error of a field into a problem that names it.
func Checked(err error) error {
	var field spot.FieldError
	if errors.As(err, &field) {
		return web.Wrong("body."+field.Field, field)
	}
	return err
}

// SpotWritten is a stored spot as a body, for writing it again.
func SpotWritten(sp *store.Spot) SpotBody {
	b := SpotBody{Hours: hoursOut(sp.Timetable), Fee: sp.Fee, Parking: sp.Parking, Bend: sp.Bend,
		WaterID: sp.Water.ID, Name: sp.Name, Place: sp.Place, Note: sp.Note, Hazards: sp.Hazards, Bottom: sp.Bottom,
		Lat: sp.Lat, Lon: sp.Lon, FacesDeg: sp.FacesDeg, StandM: sp.StandM, Public: sp.Public, Manner: string(sp.Access.Manner),
		Manners:  MannersOut(sp.Access.Others),
		DraughtM: sp.Access.DraughtM,
		In:       PassageBody(sp.Access.In),
		Out:      PassageBody(sp.Access.Out), BearingDeg: sp.SectionBearing, Section: SectionPoints(sp.Section), Marks: []MarkBody{},
		Shape: Shape(sp.Shape), SectionAt: positionOut(sp.SectionFrom)}
	for _, m := range sp.Marks {
		id, _ := uuid.Parse(m.ID)
		elevation := m.ElevationM
		b.Marks = append(b.Marks, MarkBody{ID: id, Name: m.Name, Kind: string(m.Kind), Bottom: m.Bottom, DistanceM: m.DistanceM,
			ElevationM: &elevation, MinM: m.Fishable.MinM, MaxM: m.Fishable.MaxM, Line: m.Line, Note: m.Note, Snag: m.Snag,
			At: positionOut(m.At)})
	}
	return b
}
