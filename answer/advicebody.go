package answer

import (
	"time"

	"github.com/google/uuid"
)

// AdviseBody is what is asked. It is exported for huma, which embeds only such fields.
type AdviseBody struct {
	SpotID      uuid.UUID         `json:"spot_id" format:"uuid"`
	Time        time.Time         `json:"time,omitempty" doc:"now if left out"`
	Target      string            `json:"target,omitempty" example:"red-drum"`
	Targets     []string          `json:"targets,omitempty" maxItems:"12" nullable:"false" doc:"several at once, each by its own measure"`
	Readings    []ReadingIn       `json:"readings,omitempty" maxItems:"50" nullable:"false" doc:"what you see there overrules the forecast"`
	Signs       []string          `json:"signs,omitempty" maxItems:"20" nullable:"false" doc:"seen on the water now"`
	Schools     map[string]string `json:"schools,omitempty" doc:"positions taken for this once, by question"`
	Manner      string            `json:"manner,omitempty" enum:"on foot,wading,kayak,boat" doc:"this time: the spot's, or a further one"`
	KitOnly     bool              `json:"kit_only,omitempty" doc:"nothing that is not in your kit"`
	Belief      string            `json:"belief,omitempty" enum:"book,log" doc:"gone by: the log, if left out"`
	WhatChanges bool              `json:"what_would_change,omitempty" doc:"say which reading would change the choice"`
	Units       string            `json:"units,omitempty" enum:"metric,us" doc:"of the sentences"`
	DrawnPx     float64           `json:"drawn_px,omitempty" minimum:"0" maximum:"1400" doc:"width of the drawings, in points; 0: none"`
	Most        int               `json:"most,omitempty" minimum:"1" maximum:"20" doc:"choices wanted, three if left out"`
}

// ReasonOut is what a family of rules says of a part of the edge.
type ReasonOut struct {
	Part      string          `json:"part" enum:"there,feeding,taken," doc:"empty for what is left over"`
	Rule      string          `json:"rule" doc:"that says most"`
	Says      string          `json:"says"`
	Factor    float64         `json:"factor" doc:"of all its rules; those of all reasons multiply to the edge"`
	Applies   float64         `json:"applies" doc:"how far the rule applies here, 0…1"`
	Ordinary  float64         `json:"ordinary" doc:"how far in an ordinary spell; of what is taken, to the best that can be fished"`
	Family    string          `json:"family"`
	Effect    string          `json:"effect" doc:"empty for what is left over"`
	Certainty string          `json:"certainty"`
	Origin    string          `json:"origin"`
	Idea      string          `json:"idea"`
	School    string          `json:"school"`
	Rules     []RuleReasonOut `json:"rules" nullable:"false" doc:"of the family, largest first"`
}

// RuleReasonOut is one rule's share of a reason.
type RuleReasonOut struct {
	Rule     string  `json:"rule"`
	Says     string  `json:"says" doc:"empty where nothing is said of it"`
	Factor   float64 `json:"factor"`
	Applies  float64 `json:"applies"`
	Ordinary float64 `json:"ordinary"`
}

// PlusOut is a rule that speaks for what is offered, whatever else could be.
type PlusOut struct {
	Rule   string  `json:"rule"`
	Says   string  `json:"says"`
	Factor float64 `json:"factor"`
}

// ExpectedOut is an expected catch a rod-hour.
type ExpectedOut struct {
	Median float64 `json:"median"`
	Low    float64 `json:"low" doc:"80 % of the belief lies between low and high"`
	High   float64 `json:"high"`
}

type WorkingOut struct {
	Label   string `json:"label"`
	Result  string `json:"result"`
	Formula string `json:"formula"`
	Weak    string `json:"weak"`
}

// CardOut is the presentation written out; lines that do not apply are empty.
type CardOut struct {
	OfferingID string  `json:"offering_id"`
	KitID      string  `json:"kit_id,omitempty" doc:"the thing of your kit it takes"`
	Size       string  `json:"size"`
	Finish     string  `json:"finish"`
	Hooked     string  `json:"hooked" doc:"how the bait goes on the hook"`
	RigID      string  `json:"rig_id"`
	Weight     string  `json:"weight"`
	Hook       string  `json:"hook"`
	Leader     string  `json:"leader"`
	LeaderOf   string  `json:"leader_of" doc:"its material"`
	Knot       string  `json:"knot"`
	Cast       string  `json:"cast" doc:"from where and which way"`
	Depth      string  `json:"depth"`
	Pace       string  `json:"pace"`
	Cadence    string  `json:"cadence" doc:"in the bench's written form"`
	Pause      string  `json:"pause"`
	Tip        string  `json:"tip" doc:"how to hold the rod"`
	Refused    string  `json:"refused" doc:"what to change first"`
	Groundbait string  `json:"groundbait,omitempty" doc:"how a shoal is held with some"`
	Style      string  `json:"style"`
	WeightKg   float64 `json:"weight_kg"`
	LeaderN    float64 `json:"leader_n"`
	SpeedMS    float64 `json:"speed_ms" doc:"through the water"`
}

type ChoiceOut struct {
	Target     string      `json:"target"`
	TargetName string      `json:"target_name"`
	Sentence   string      `json:"sentence"`
	Approach   string      `json:"approach" enum:"live bait,cut bait,lure"`
	Offering   string      `json:"offering"`
	Rig        string      `json:"rig"`
	Mark       string      `json:"mark"`
	DepthM     float64     `json:"depth_m" doc:"of the offering below the surface"`
	Retrieve   string      `json:"retrieve"`
	Bite       string      `json:"bite"`
	Card       CardOut     `json:"card"`
	Uses       []string    `json:"uses" nullable:"false" doc:"of your kit"`
	Lacks      []string    `json:"lacks" nullable:"false" doc:"what is not in your kit, and the nearest that is"`
	Edge       float64     `json:"edge" doc:"how many times an ordinary spell for that fish; the product of the reasons"`
	EdgeLow    float64     `json:"edge_low" doc:"80 % of the belief lies between low and high"`
	EdgeHigh   float64     `json:"edge_high"`
	There      float64     `json:"there" doc:"are they here"`
	Feeding    float64     `json:"feeding" doc:"are they eating"`
	Taken      float64     `json:"taken" doc:"do they take this: a share of the best that can be fished here and now"`
	Absent     bool        `json:"absent" doc:"it does not live here, or not now"`
	PerRodHour ExpectedOut `json:"per_rod_hour" doc:"the expected catch"`

	BeatsNext     float64 `json:"beats_next" doc:"how sure it is that it is better than the next, 0…1"`
	BeatsNextSays string  `json:"beats_next_says"`

	Reasons    []ReasonOut  `json:"reasons" nullable:"false" doc:"largest first"`
	For        []PlusOut    `json:"for" nullable:"false" doc:"what of the offering holds here"`
	Arithmetic []WorkingOut `json:"arithmetic" nullable:"false"`
	Cautions   []CautionOut `json:"cautions" nullable:"false" doc:"of going, the tackle and the fish, gravest first"`
	Handling   string       `json:"handling" doc:"how to land, hold and put it back"`
	Side       *Drawing     `json:"side,omitempty" doc:"from the side, where drawn_px was given"`
	Plan       *Drawing     `json:"plan,omitempty" doc:"from above, where that shows something"`
}

type RuledOutOut struct {
	Offering string `json:"offering"`
	Why      string `json:"why"`
}

type TurningOut struct {
	Kind     string  `json:"kind" doc:"of reading; time for the time"`
	Past     float64 `json:"past" doc:"in the reading's unit; minutes from the moment for the time"`
	Rises    bool    `json:"rises"`
	Says     string  `json:"says"`
	Offering string  `json:"offering"`
	Mark     string  `json:"mark"`
	Spreads  float64 `json:"spreads" doc:"how far off, in standard deviations of what is believed; hours for the time"`
}

// Advice of a moment.
type Advice struct {
	Choices    []ChoiceOut   `json:"choices" nullable:"false"`
	Beyond     *ChoiceOut    `json:"beyond,omitempty" doc:"the best that is not in your kit, where it is better"`
	RuledOut   []RuledOutOut `json:"ruled_out" nullable:"false" doc:"what cannot work now, and why"`
	Changes    []TurningOut  `json:"what_would_change" nullable:"false"`
	Conditions []Condition   `json:"conditions" nullable:"false"`
	Stage      StageOut      `json:"stage"`
	Way        string        `json:"way" doc:"that the way is shut or soon will be; empty when there is no hurry"`
	Stay       string        `json:"stay" doc:"when to move on"`
	Cautions   []CautionOut  `json:"cautions" nullable:"false" doc:"of the way, the sea and the place, gravest first"`
	Gravest    string        `json:"gravest" enum:"note,think,do not" doc:"at do not the choices are no advice to go"`
	Usual      float64       `json:"usual" doc:"what something usual on the hook would be worth, as a share of the best"`
	Note       string        `json:"note" doc:"why there is no choice, where there is none"`
	Kit        bool          `json:"kit" doc:"you have a kit, and it was asked first"`
	Basis      string        `json:"basis" doc:"what the edges rest on"`
}
