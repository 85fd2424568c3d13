package evidence

import (
	"context"
	"math"
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/evidence"
	"greypebble/core/sky"
	"greypebble/core/tide"
	"greypebble/server/api/web"
	"greypebble/server/desk"
	"greypebble/server/learned"
)

type curveInput struct {
	TargetQuery
	By string `query:"by" required:"true" enum:"level,from_high,clarity,temperature,hour,wind,moon"`
}

type curvePoint struct {
	X        float64 `json:"x"`
	Median   float64 `json:"median" doc:"fish a rod-hour"`
	Low      float64 `json:"low" doc:"four times in five it lies between"`
	High     float64 `json:"high"`
	RodHours float64 `json:"rod_hours" doc:"that speak to it"`
}

type rugOut struct {
	SpellID  string  `json:"spell_id"`
	X        float64 `json:"x"`
	RodHours float64 `json:"rod_hours"`
	Catches  float64 `json:"catches"`
}

type curveOutput struct {
	Body struct {
		By     string       `json:"by"`
		Unit   string       `json:"unit" doc:"of x: m, h, °C, m/s, days"`
		From   float64      `json:"from"`
		To     float64      `json:"to"`
		Closed bool         `json:"closed" doc:"its end is its beginning, as of the hours of a day"`
		Points []curvePoint `json:"points" nullable:"false" doc:"none where nothing was fished"`
		Rug    []rugOut     `json:"rug" nullable:"false" doc:"the spells it rests on"`
		Unread int          `json:"unread" doc:"spells of which it is not known"`
		Most   *curvePoint  `json:"most,omitempty" doc:"where the catch is highest of what was fished"`
		Least  *curvePoint  `json:"least,omitempty" doc:"and lowest"`
		Differ bool         `json:"differ" doc:"the two are told apart, four times in five each"`
	}
}

// axis of a condition: its unit, from where to where (NaN: as far as was fished), and where a spell stands on it.
type axis struct {
	unit     string
	from, to float64
	closed   bool
	x        func(k *learned.Spell, laid map[uuid.UUID]*desk.Laid) (float64, error)
}

var notSaid = math.NaN()

func reading(kind conditions.Kind) func(*learned.Spell, map[uuid.UUID]*desk.Laid) (float64, error) {
	return func(k *learned.Spell, _ map[uuid.UUID]*desk.Laid) (float64, error) {
		i := slices.IndexFunc(k.Readings, func(r conditions.Reading) bool { return r.Kind == kind && r.Origin != conditions.Assumed })
		if i < 0 {
			return notSaid, nil
		}
		return k.Readings[i].Value, nil
	}
}

// aroundTurn is how far about a spell the turns of its tide are looked for.
const aroundTurn = 14 * time.Hour

var axes = map[string]axis{
	"level": {"m", notSaid, notSaid, false, func(k *learned.Spell, _ map[uuid.UUID]*desk.Laid) (float64, error) {
		return k.TideLevelM, nil
	}},
	"from_high": {"h", -6.5, 6.5, false, func(k *learned.Spell, laid map[uuid.UUID]*desk.Laid) (float64, error) {
		sp := laid[k.SpotID]
		if sp == nil || tide.Tideless(sp.Tide) {
			return notSaid, nil
		}
		t := middle(k)
		c, err := tide.Over(sp.Tide, t.Add(-aroundTurn), t.Add(aroundTurn))
		if err != nil {
			return 0, err
		}
		return c.FromHigh(t), nil
	}},
	"clarity":     {"m", notSaid, notSaid, false, reading(conditions.Clarity)},
	"temperature": {"°C", notSaid, notSaid, false, reading(conditions.WaterTemp)},
	"wind":        {"m/s", 0, notSaid, false, reading(conditions.WindSpeed)},
	"hour": {"h", 0, 24, true, func(k *learned.Spell, _ map[uuid.UUID]*desk.Laid) (float64, error) {
		t := middle(k)
		if zone, err := time.LoadLocation(k.TimeZone); err == nil {
			t = t.In(zone)
		}
		return float64(t.Hour()) + float64(t.Minute())/60, nil
	}},
	"moon": {"days", 0, sky.MoonMonth, true, func(k *learned.Spell, _ map[uuid.UUID]*desk.Laid) (float64, error) {
		return math.Mod(sky.DaysFromNew(middle(k))+sky.MoonMonth, sky.MoonMonth), nil
	}},
}

func (s service) curve(ctx context.Context, as *web.Scope, in *curveInput) (*curveOutput, error) {
	a, err := s.about(ctx, as, in.Target)
	if err != nil {
		return nil, err
	}
	list, err := s.Desk.Spots(ctx, as.Angler, as.Now())
	if err != nil {
		return nil, err
	}
	laid := make(map[uuid.UUID]*desk.Laid, len(list))
	for _, l := range list {
		laid[l.ID] = l
	}
	by := axes[in.By]
	out := &curveOutput{}
	b := &out.Body
	b.By, b.Unit, b.Closed, b.Points, b.Rug = in.By, by.unit, by.closed, []curvePoint{}, []rugOut{}
	var fished []evidence.Fished
	for _, k := range a.own() {
		x, err := by.x(k, laid)
		if err != nil {
			return nil, err
		}
		if x != x {
			b.Unread++
			continue
		}
		fished = append(fished, evidence.Fished{X: x, RodHours: k.Weighed.RodHours, Fish: k.Weighed.Fish})
		b.Rug = append(b.Rug, rugOut{k.ID.String(), x, k.Weighed.RodHours, k.Weighed.Fish})
	}
	over := evidence.AxisOf(fished, by.from, by.to, by.closed)
	b.From, b.To = over.From, over.To
	points := evidence.Curve(fished, over, a.Dispersion)
	for _, p := range points {
		b.Points = append(b.Points, curvePoint(p))
	}
	if most, least, differ, told := evidence.Ends(points); told {
		m, l := curvePoint(most), curvePoint(least)
		b.Most, b.Least, b.Differ = &m, &l, differ
	}
	return out, nil
}
