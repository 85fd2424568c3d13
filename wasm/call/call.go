// Package call answers the page's questions to the core in the browser: each has a name, asks with JSON
// and is answered with JSON.
package call

import (
	"encoding/json"
	"fmt"
	"time"

	"greypebble/core/outing"
)

// Core that answers. It is not for several goroutines at once.
type Core struct{ kept *kept }

// Call the question of a name. An error names the question and what it could not make of it.
func (c *Core) Call(name string, in []byte) ([]byte, error) {
	switch name {
	case "outing":
		return answered(name, in, c.askOuting)
	case "seen":
		return answered(name, in, c.seen)
	case "length":
		return answered(name, in, length)
	case "pack":
		return answered(name, in, c.takePack)
	case "ask":
		return answered(name, in, c.ask)
	}
	return nil, fmt.Errorf("wasm: unknown question %q", name)
}

func answered[I, O any](name string, in []byte, f func(I) (O, error)) ([]byte, error) {
	var asked I
	if err := json.Unmarshal(in, &asked); err != nil {
		return nil, fmt.Errorf("wasm: %s: %w", name, err)
	}
	out, err := f(asked)
	if err != nil {
		return nil, fmt.Errorf("wasm: %s: %w", name, err)
	}
	return json.Marshal(out)
}

// outingAsked is what the page knows of an outing.
type outingAsked struct {
	Touches []outing.Touch `json:"touches"`
	Now     time.Time      `json:"now"`
	// Until when one can stay, where that is known.
	Until time.Time `json:"until"`
	// Here is what is expected a rod-hour, as an advice says it; nil: nothing is known.
	Here      *expected     `json:"here"`
	Others    []otherAsked  `json:"others"`
	School    outing.School `json:"school"`
	Winter    bool          `json:"winter"`
	AllAtOnce bool          `json:"all_at_once"`
	// DeepM is the water over the mark that is fished, FishM depths fish were marked at.
	DeepM float64   `json:"deep_m"`
	FishM []float64 `json:"fish_m"`
	// At is where the device is; nil: not known.
	At *outing.Place `json:"at"`
}

// expected catch a rod-hour: the median, and what holds it four times in five.
type expected struct {
	Median float64 `json:"median"`
	Low    float64 `json:"low"`
	High   float64 `json:"high"`
}

func (e *expected) rate() outing.Rate {
	if e == nil {
		return outing.Rate{}
	}
	return outing.RateOf(e.Median, e.Low, e.High)
}

type otherAsked struct {
	SpotID  string    `json:"spot_id"`
	Name    string    `json:"name"`
	Here    *expected `json:"here"`
	AwayMin float64   `json:"away_min"`
	Until   time.Time `json:"until"`
}

type outingAnswer struct {
	Began   time.Time   `json:"began_at"`
	Ended   *time.Time  `json:"ended_at,omitempty"`
	Resting *time.Time  `json:"resting_since,omitempty"`
	Hooked  *time.Time  `json:"hooked_since,omitempty"`
	Spells  []spellTold `json:"spells"`
	Total   tally       `json:"total"`
	Next    *next       `json:"next,omitempty"`
	Stay    *stay       `json:"stay,omitempty"`
	// Features cast to, and the one that pays.
	Features []feature `json:"features"`
	Pays     string    `json:"pays,omitempty"`
	Row      row       `json:"row"`
	// Column of water level by level, in the order they are tried, and where to stop for a fish.
	Column []level `json:"column"`
	Above  []level `json:"above"`
	// Trail of casts along the shore, and how far along it one stands.
	Trail    []crumb `json:"trail"`
	Standing float64 `json:"standing_m"`
	// Again says that the last cast went where one had shown nothing; casts within SameM go to one place.
	Again bool    `json:"again"`
	SameM float64 `json:"same_m"`
	// Pass over where a trolled lure was hooked.
	Pass *pass `json:"pass,omitempty"`
	// BoatS since a boat passed; the water settles from SettlesS on.
	BoatS    float64 `json:"boat_s,omitempty"`
	SettlesS float64 `json:"settles_s,omitempty"`
	// Leader has borne so many fish and snags since it was checked; LeaderNote is what says that it was.
	Leader     int    `json:"leader"`
	LeaderNote string `json:"leader_note"`
}

type spellTold struct {
	outing.Spell
	LastedS float64 `json:"lasted_s"`
	Going   bool    `json:"going"`
	Tally   tally   `json:"tally"`
}

type tally struct {
	RodHours float64 `json:"rod_hours"`
	Fish     int     `json:"fish"`
	Lost     int     `json:"lost"`
	Missed   int     `json:"missed"`
	Bites    int     `json:"bites"`
	Robbed   int     `json:"robbed"`
	Broken   int     `json:"broken"`
}

type next struct {
	Change outing.Change  `json:"change"`
	LeftS  float64        `json:"left_s"`
	Tried  []outing.Tried `json:"tried"`
}

type stay struct {
	Stay    bool          `json:"stay"`
	Reason  outing.Reason `json:"reason"`
	Staying float64       `json:"staying"`
	Low     float64       `json:"staying_low"`
	High    float64       `json:"staying_high"`
	AwayMin float64       `json:"away_min,omitempty"`
	Going   float64       `json:"going"`
	Best    string        `json:"best,omitempty"`
	OverMin float64       `json:"over_min"`
	LeftS   float64       `json:"left_s"`
}

func (c *Core) askOuting(in outingAsked) (outingAnswer, error) {
	o, err := outing.Of(in.Touches)
	if err != nil {
		return outingAnswer{}, err
	}
	out := outingAnswer{Began: o.Began, Ended: told(o.Ended), Resting: told(o.Resting), Hooked: told(o.Hooked), Spells: []spellTold{},
		Total: tally(o.Total(in.Now)), Leader: o.SinceLeader(), LeaderNote: outing.LeaderChecked}
	for i := range o.Spells {
		s := &o.Spells[i]
		upTo := in.Now
		if s == o.Now() && !o.Resting.IsZero() {
			upTo = o.Resting
		}
		out.Spells = append(out.Spells, spellTold{*s, s.Lasted(upTo).Seconds(), s == o.Now(), tally(o.Tally(s, in.Now))})
	}
	if n, there := o.NextOf(in.Now); there {
		out.Next = &next{n.Change, n.Left.Seconds(), n.Tried}
	}
	out.Stay = in.stay(&o)
	c.search(&out, &o, &in)
	return out, nil
}

func told(t time.Time) *time.Time {
	if t.IsZero() {
		return nil
	}
	return &t
}

// stay or go, of an outing that goes on: fish and effort at this spot for this target, today.
func (in *outingAsked) stay(o *outing.Outing) *stay {
	now := o.Now()
	if now == nil || in.Here == nil {
		return nil
	}
	s := outing.Stay{Now: in.Now, Until: in.Until, Rods: now.Rods, Here: in.Here.rate(), School: in.School, Winter: in.Winter,
		AllAtOnce: in.AllAtOnce,
		Since:     o.CameTo().Started, LastSign: now.LastSign(), Dolphins: o.SawLately("dolphins", in.Now)}
	if s.Until.IsZero() {
		s.Until = in.Now.Add(outing.Compared)
	}
	for i := range o.Spells {
		k := &o.Spells[i]
		if k.SpotID == now.SpotID && k.Target == now.Target {
			s.Fish += len(k.Catches)
			s.RodHours += o.Effort(k, in.Now)
		}
	}
	for _, k := range in.Others {
		s.Others = append(s.Others, outing.Elsewhere{SpotID: k.SpotID, Name: k.Name, Rate: k.Here.rate(),
			Away: time.Duration(k.AwayMin * float64(time.Minute)), Until: k.Until})
	}
	c := s.Choose()
	out := &stay{Stay: c.Stay, Reason: c.Reason, Staying: c.Staying, Low: c.StayingLow, High: c.StayingHigh, Going: c.Going,
		OverMin: c.Over.Minutes(), LeftS: c.Left.Seconds()}
	if c.Best != nil {
		out.Best, out.AwayMin = c.Best.Name, c.Best.Away.Minutes()
	}
	return out
}
