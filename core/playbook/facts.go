package playbook

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"greypebble/core/ground"
	"greypebble/core/quantity"
)

// Measure is a numeric fact a rule can look at. One that is not known is NaN: no
// rule that looks at it applies.
type Measure int

// Numeric facts.
const (
	Level         Measure = iota // of the tide above chart datum
	RiseRate                     // of the tide, negative when falling
	Flow                         // size of the rise rate
	Elapsed                      // share of the rise or fall gone
	TideRange                    // of this rise or fall, in mean spring ranges
	SunAltitude                  // degrees
	SurfaceLight                 // on the water
	LureLight                    // at the depth fished
	DaysFromFull                 // distance in time from the nearest full moon
	DaysAfterFull                // time since the nearest full moon, negative before it
	Secchi                       // clarity
	WaterTemp                    //
	Warming                      // of the water in a day
	WindSpeed                    //
	Waves                        // that break on an open beach: their height
	Cloud                        // share of the sky covered
	Rain                         // of the last hours, where somebody noted it
	Depth                        // of the water over the mark fished
	CrestDepth                   // of the water over the spot's highest crest or bar
	LureDepth                    // of the offering below the surface
	Clearance                    // of the offering over the bottom
	LevelShare                   // of the tide between mean low and mean high springs
	FlowShare                    // size of the rise rate, in the place's fastest of mean springs
	SinceLow                     // share of the rise gone, or of the fall still to go, negative
	SinceHigh                    // share of the fall gone, or of the rise still to go, negative
	Standing                     // of the water above prediction, lastingly
	Current                      // at the spot, either way
	Warmer                       // of the water over the mark than the open water
	MidLight                     // half-way down over the mark
	BedLight                     // at the bottom under the mark
	Sunless                      // cloud over the last fortnight
	SideCreeks                   // that join at the spot: marks that are cuts
	UnderFish                    // of the offering below the level fish show at; above it negative
	// MeasureCount is how many there are.
	MeasureCount
)

// measureOf says what a measure is called, of which dimension it is, whether it is
// a difference (degrees without the offset of their scale), between which values it
// can lie, and whether only somebody's note tells it.
type measureOf struct {
	name       string
	dimension  quantity.Dimension
	difference bool
	low, high  float64
	noted      bool
}

var measures = [MeasureCount]measureOf{
	Level:         {name: "level", dimension: quantity.Length, low: -20, high: 20},
	RiseRate:      {name: "rise_rate", dimension: quantity.RiseRate, low: -6, high: 6},
	Flow:          {name: "flow", dimension: quantity.RiseRate, low: 0, high: 6},
	Elapsed:       {name: "elapsed", dimension: quantity.Fraction, low: 0, high: 1},
	TideRange:     {name: "tide_range", dimension: quantity.Fraction, low: 0, high: 2.5},
	SunAltitude:   {name: "sun_altitude", dimension: quantity.Angle, low: -90, high: 90},
	SurfaceLight:  {name: "surface_light", dimension: quantity.Illuminance, low: 0, high: 200_000},
	LureLight:     {name: "lure_light", dimension: quantity.Illuminance, low: 0, high: 200_000},
	DaysFromFull:  {name: "days_from_full", dimension: quantity.Time, low: 0, high: 15 * 86400},
	DaysAfterFull: {name: "days_after_full", dimension: quantity.Time, low: -15 * 86400, high: 15 * 86400},
	Secchi:        {name: "secchi", dimension: quantity.Length, low: 0.05, high: 60},
	WaterTemp:     {name: "water_temp", dimension: quantity.Temperature, low: -2.5, high: 40},
	Warming:       {name: "warming", dimension: quantity.Temperature, difference: true, low: -15, high: 15},
	WindSpeed:     {name: "wind_speed", dimension: quantity.Speed, low: 0, high: 60},
	Waves:         {name: "waves", dimension: quantity.Length, low: 0, high: 30},
	Cloud:         {name: "cloud", dimension: quantity.Fraction, low: 0, high: 1},
	Rain:          {name: "rain", dimension: quantity.Length, low: 0, high: 0.5, noted: true},
	Depth:         {name: "depth", dimension: quantity.Length, low: 0, high: 400},
	CrestDepth:    {name: "crest_depth", dimension: quantity.Length, low: -30, high: 400},
	LureDepth:     {name: "lure_depth", dimension: quantity.Length, low: 0, high: 400},
	Clearance:     {name: "clearance", dimension: quantity.Length, low: 0, high: 400},
	LevelShare:    {name: "level_share", dimension: quantity.Fraction, low: -1, high: 2},
	FlowShare:     {name: "flow_share", dimension: quantity.Fraction, low: 0, high: 2},
	SinceLow:      {name: "since_low", dimension: quantity.Fraction, low: -1, high: 1},
	SinceHigh:     {name: "since_high", dimension: quantity.Fraction, low: -1, high: 1},
	Standing:      {name: "standing", dimension: quantity.Length, low: -3, high: 3, noted: true},
	Current:       {name: "current", dimension: quantity.Speed, low: 0, high: 8},
	Warmer:        {name: "warmer", dimension: quantity.Temperature, difference: true, low: -15, high: 15},
	MidLight:      {name: "mid_light", dimension: quantity.Illuminance, low: 0, high: 200_000},
	Sunless:       {name: "sunless", dimension: quantity.Fraction, low: 0, high: 1, noted: true},
	SideCreeks:    {name: "side_creeks", dimension: quantity.None, low: 0, high: 100},
	UnderFish:     {name: "under_fish", dimension: quantity.Length, low: -30, high: 60, noted: true},
	BedLight:      {name: "bed_light", dimension: quantity.Illuminance, low: 0, high: 200_000},
}

// Word is a fact with a fixed vocabulary.
type Word int

// Facts in words. The first fade into their neighbours.
const (
	Stage    Word = iota // flood, ebb
	Month                // of the northern year
	Place                // kind of spot
	MarkKind             // kind of mark
	Bottom               // what lies there
	Side                 // of the land as the wind blows
	Sign                 // what is seen on the water; several may be
	Approach             // live bait, cut bait, lure
	Pace                 // slow, medium, fast
	Style                // how it is moved
	Column               // bottom, mid, top
	Trait                // of the offering; several may be
	Leader               // material of the leader
	Point                // of the hook: open, skinned, hidden
	OfferingID
	RigID
	wordCount
)

// fading words come first.
const fading = 2

// fades says that one value passes softly into the next.
func (w Word) fades() bool { return w < fading }

type wordOf struct {
	name       string
	vocabulary []string
	// offered words belong to what is tied on.
	offered bool
	// several values may hold at once.
	several bool
}

// Approaches in the order they are spoken of.
var Approaches = []string{"live bait", "cut bait", "lure"}

// Columns of the water.
var Columns = []string{"bottom", "mid", "top"}

// Paces of a lure, slowest first.
var Paces = []string{"slow", "medium", "fast"}

// Finishes a lure may have; each is a trait.
var Finishes = []string{"white", "natural", "dark", "flash", "glow", "bright"}

// Months by name.
var Months = []string{"january", "february", "march", "april", "may", "june", "july", "august", "september", "october",
	"november", "december"}

// ColdToTheHand is the sign of a fish that was, when it was taken off the hook.
const ColdToTheHand = "cold to the hand"

// Signs that may be seen on the water.
var Signs = []string{"birds", "nervous bait", "mullet jumping", "shrimp popping", "slick", "predator in the lane", "fish showing",
	"fish tailing", "fish cruising", "weed", "dolphins", "boats", "crowd", "bait stealers", "colour line", ColdToTheHand,
	"thunder", "fog"}

// InSight are the signs that say that a fish is seen itself: one that is, is there.
var InSight = []string{"fish showing", "fish tailing", "fish cruising"}

// SeesFish says whether a fish is among the signs.
func SeesFish(signs []string) bool {
	return slices.ContainsFunc(signs, func(s string) bool { return slices.Contains(InSight, s) })
}

// Styles of moving an offering.
var Styles = []string{"still", "drag", "drift", "pop", "steady", "stop and go", "twitch", "hop", "walk", "lift", "snap", "roll",
	"jerk", "troll"}

// Points of a hook: standing free, just under a soft bait's skin, or in its body.
var Points = []string{"open", "skinned", "hidden"}

// traits an offering may have.
var traits = append([]string{"scent", "vibration", "darting", "surface", "small", "large", "tough", "weedless", "soft", "fish", "crab",
	"shrimp"}, Finishes...)

var factWords = [wordCount]wordOf{
	Stage:    {name: "stage", vocabulary: []string{"flood", "ebb"}},
	Place:    {name: "place", vocabulary: ground.Places},
	MarkKind: {name: "mark", vocabulary: ground.MarkKinds()},
	Bottom:   {name: "bottom", vocabulary: ground.Bottoms},
	Side:     {name: "side", vocabulary: []string{"along", "lee", "exposed"}},
	Month:    {name: "month", vocabulary: Months},
	Sign:     {name: "sign", vocabulary: Signs, several: true},
	Approach: {name: "approach", vocabulary: Approaches, offered: true},
	Pace:     {name: "pace", vocabulary: Paces, offered: true},
	Style:    {name: "style", vocabulary: Styles, offered: true},
	Column:   {name: "column", vocabulary: Columns, offered: true},
	Trait:    {name: "trait", vocabulary: traits, offered: true, several: true},
	Leader:   {name: "leader", vocabulary: []string{"fluorocarbon", "mono", "wire"}, offered: true},
	Point:    {name: "point", vocabulary: Points, offered: true},
	// The offerings and rigs of a book are its own vocabularies.
	OfferingID: {name: "offering", offered: true},
	RigID:      {name: "rig", offered: true},
}

// Set of words of one vocabulary, a bit each in its order.
type Set uint64

// mostWords a vocabulary can have.
const mostWords = 64

// setOf some words of a vocabulary; false where one is not in it.
func setOf(vocabulary []string, some ...string) (Set, bool) {
	var s Set
	for _, w := range some {
		i := slices.Index(vocabulary, w)
		if i < 0 {
			return 0, false
		}
		s |= 1 << i
	}
	return s, true
}

// Facts are everything a rule may look at for one presentation at one place and
// moment. A word that does not apply is an empty set and matches nothing.
type Facts struct {
	Measure [MeasureCount]float64
	Word    [wordCount]Set
	// Next value of a word that fades, and how far it has come already, 0…½.
	Next [fading]Fade
}

// Fade into the next value of a word.
type Fade struct {
	Word  Set
	Share float64
}

// Nothing is known: every measure NaN, every word empty.
func Nothing() Facts {
	var f Facts
	for m := range f.Measure {
		f.Measure[m] = math.NaN()
	}
	return f
}

// Say sets a word; an empty one takes it away. What lies outside the vocabulary says
// nothing: no rule speaks of it. What users write is checked before; this is for what an
// earlier program let in.
func (f *Facts) Say(w Word, values ...string) {
	if len(values) == 1 && values[0] == "" {
		values = nil
	}
	f.Word[w], _ = setOf(factWords[w].vocabulary, values...)
	if w.fades() {
		f.Next[w] = Fade{}
	}
}

// Fade a word into another value, by a share.
func (f *Facts) Fade(w Word, into string, share float64) {
	f.Next[w] = Fade{Share: share}
	f.Next[w].Word, _ = setOf(factWords[w].vocabulary, into)
}

// Offer fills in what is offered.
func (f *Facts) Offer(o *Offering) {
	f.Say(Approach, o.Approach)
	f.Word[Trait], f.Word[OfferingID] = o.traits, o.bit
}

// Rigged fills in what joins it to the line.
func (f *Facts) Rigged(r *Rig) {
	f.Say(Column, r.Column)
	f.Say(Point, r.Point)
	f.Word[RigID] = r.bit
}

// SeenOnly may be seen where nobody fishes: besides signs, water without any, a run of fish, water of another colour.
var SeenOnly = []string{"nothing at all", "a run", "water of another colour"}

// CheckSeen refuses what is neither a sign nor one of [SeenOnly].
func CheckSeen(seen []string) error {
	known := slices.Concat(Signs, SeenOnly)
	for _, s := range seen {
		if !slices.Contains(known, s) {
			return fmt.Errorf("playbook: expected what may be seen, not %q; known are %s", s, strings.Join(known, ", "))
		}
	}
	return nil
}

// CheckSigns refuses signs the playbook has no word for.
func CheckSigns(signs []string) error {
	for _, s := range signs {
		if !slices.Contains(Signs, s) {
			return fmt.Errorf("playbook: unknown sign %q; known are %s", s, strings.Join(Signs, ", "))
		}
	}
	return nil
}

// KnownSigns are those of a list the playbook has a word for.
func KnownSigns(signs []string) (out []string) {
	for _, s := range signs {
		if slices.Contains(Signs, s) {
			out = append(out, s)
		}
	}
	return out
}

// CheckFinish refuses a finish the playbook has no word for; none is none.
func CheckFinish(finish string) error {
	if finish != "" && !slices.Contains(Finishes, finish) {
		return fmt.Errorf("playbook: unknown finish %q; known are %s", finish, strings.Join(Finishes, ", "))
	}
	return nil
}

// WordsOf a fact in words, in the order of their bits in a [Set].
func (b *Book) WordsOf(w Word) []string {
	switch w {
	case OfferingID:
		return b.offeringIDs()
	case RigID:
		return b.rigIDs()
	}
	return factWords[w].vocabulary
}
