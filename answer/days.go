package answer

import (
	"math"
	"time"

	"github.com/google/uuid"

	"greypebble/core/plan"
	"greypebble/core/sky"
	"greypebble/core/tide"
)

type SoughtTarget struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

type DayAhead struct {
	From time.Time `json:"from" doc:"the beginning of the day there"`
	Moon string    `json:"moon" enum:",new moon,first quarter,full moon,last quarter" doc:"the quarter it reaches that day"`
	Tide string    `json:"tide" enum:",springs,neaps" doc:"whether it is the day of springs or neaps"`
}

type WaterDays struct {
	WaterID  string     `json:"water_id" format:"uuid"`
	Water    string     `json:"water"`
	TimeZone string     `json:"time_zone"`
	Days     []DayAhead `json:"days" nullable:"false"`
}

type NotThen struct {
	Hour int    `json:"hour" doc:"the first of those it holds for"`
	Says string `json:"says" doc:"why not to go; the same until another stands"`
}

type SpotDays struct {
	SpotID  string           `json:"spot_id" format:"uuid"`
	Spot    string           `json:"spot"`
	Place   string           `json:"place"`
	Manner  string           `json:"manner"`
	WaterID string           `json:"water_id" format:"uuid"`
	State   string           `json:"state" doc:"a letter an hour: o open, d do not go, t too little water, s shut by the tide, c by a rule"`
	Dark    string           `json:"dark" doc:"a figure an hour: 1 dark, 0 not"`
	Told    string           `json:"told" doc:"a figure an hour: 1 its weather was told, 0 the usual is assumed"`
	Against []NotThen        `json:"against" nullable:"false"`
	Cells   map[string][]int `json:"cells" doc:"by target, an hour a number: a hundred times the best edge in it, 0 where one cannot fish"`
}

// Ahead is what the coming days hold at one's spots, hour by hour.
type Ahead struct {
	From    time.Time      `json:"from" doc:"a full hour"`
	Hours   int            `json:"hours"`
	StepMin int            `json:"step_min"`
	Targets []SoughtTarget `json:"targets" nullable:"false"`
	Waters  []WaterDays    `json:"waters" nullable:"false"`
	Spots   []SpotDays     `json:"spots" nullable:"false"`
	Bare    []string       `json:"bare" nullable:"false" doc:"names of spots without a mark, of which nothing can be said: some"`
	BareOf  int            `json:"bare_of" doc:"so many there are"`
}

// fewBare are named: who brings waypoints along may have thousands.
const fewBare = 6

// hundredths an edge is written in.
const hundredths = 100

// AheadOf an outlook.
func AheadOf(o *Outlook) (*Ahead, error) {
	b := &Ahead{From: o.From, Hours: o.Hours, StepMin: int(time.Hour / time.Minute), Targets: []SoughtTarget{},
		Waters: []WaterDays{}, Spots: []SpotDays{}, Bare: []string{}, BareOf: len(o.Bare)}
	for _, t := range o.Asked.Targets {
		b.Targets = append(b.Targets, SoughtTarget{t.ID, t.Name})
	}
	for _, sp := range o.Bare[:min(fewBare, len(o.Bare))] {
		b.Bare = append(b.Bare, sp.Name)
	}
	seen := map[uuid.UUID]bool{}
	for at, sp := range o.Spots {
		if !seen[sp.WaterID] {
			seen[sp.WaterID] = true
			w, err := waterDays(o.Outlook, sp)
			if err != nil {
				return nil, err
			}
			b.Waters = append(b.Waters, w)
		}
		b.Spots = append(b.Spots, o.spotDays(at, sp))
	}
	return b, nil
}

func (o *Outlook) spotDays(at int, sp *Spot) SpotDays {
	p := &o.Places[at]
	out := SpotDays{SpotID: sp.ID.String(), Spot: sp.Name, Place: sp.Place, Manner: string(sp.Access.Manner),
		WaterID: sp.WaterID.String(), Dark: figures(p.Dark), Told: figures(p.Told), Against: []NotThen{}, Cells: map[string][]int{}}
	letters := make([]byte, len(p.State))
	for h, s := range p.State {
		letters[h] = byte(s)
		if says := p.Against[h]; says != "" && (len(out.Against) == 0 || out.Against[len(out.Against)-1].Says != says) {
			out.Against = append(out.Against, NotThen{h, says})
		}
	}
	out.State = string(letters)
	for k, t := range o.Asked.Targets {
		if !t.LivesAbout(sp.Place, sp.LatLon) {
			continue
		}
		cells := make([]int, o.Hours)
		for h := range cells {
			if e := o.Best(k, at, h); !math.IsNaN(e) {
				cells[h] = max(1, int(math.Round(e*hundredths)))
			}
		}
		out.Cells[t.ID] = cells
	}
	return out
}

func figures(list []bool) string {
	out := make([]byte, len(list))
	for i, yes := range list {
		out[i] = '0'
		if yes {
			out[i] = '1'
		}
	}
	return string(out)
}

// waterDays of the water a spot is the first of: its days by its own clock, with the moon and the strength of
// the tide.
func waterDays(o *plan.Outlook, sp *Spot) (WaterDays, error) {
	out := WaterDays{WaterID: sp.WaterID.String(), Water: sp.WaterName, TimeZone: sp.Clock.String(), Days: []DayAhead{}}
	peaks, err := tide.Peaks(sp.Tide, o.From.Add(-24*time.Hour), o.End())
	if err != nil {
		return out, err
	}
	y, m, d := o.From.In(sp.Clock).Date()
	for i := 0; ; i++ {
		begin, end := time.Date(y, m, d+i, 0, 0, 0, 0, sp.Clock), time.Date(y, m, d+i+1, 0, 0, 0, 0, sp.Clock)
		if !begin.Before(o.End()) {
			return out, nil
		}
		day := DayAhead{From: begin.UTC(), Moon: sky.Quarter(begin, end)}
		for _, k := range peaks {
			if !k.Time.Before(begin) && k.Time.Before(end) {
				day.Tide = map[bool]string{true: "springs", false: "neaps"}[k.Springs]
			}
		}
		out.Days = append(out.Days, day)
	}
}
