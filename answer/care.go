package answer

import (
	"math"
	"time"

	"github.com/google/uuid"

	"greypebble/core/care"
	"greypebble/core/conditions"
)

// CareBody is a fish that is to be treated well.
type CareBody struct {
	Target      string     `json:"target" minLength:"1" maxLength:"80" example:"red-drum"`
	LengthM     float64    `json:"length_m,omitempty" minimum:"0" maximum:"4"`
	DepthM      float64    `json:"depth_m,omitempty" minimum:"0" maximum:"400" doc:"it came from"`
	MassKg      float64    `json:"mass_kg,omitempty" minimum:"0" maximum:"500"`
	WaterTempC  *float64   `json:"water_temp_c,omitempty" minimum:"-2" maximum:"40" doc:"left out: as it is believed at the spot"`
	SpotID      *uuid.UUID `json:"spot_id,omitempty" format:"uuid"`
	Time        time.Time  `json:"time,omitempty" doc:"now if left out"`
	NestingMale bool       `json:"nesting_male,omitempty"`
	Predators   bool       `json:"predators,omitempty" doc:"dolphins, sharks, seals or birds beside one"`
}

// StepOut is one thing to do for a fish.
type StepOut struct {
	Grave bool   `json:"grave" doc:"comes first and stands out"`
	Says  string `json:"says"`
}

// InjuryOut is what the usual public guidance does first for people.
type InjuryOut struct {
	Name string `json:"name"`
	Says string `json:"says"`
}

// OwnCare is what an angler holds of a fish instead of the book.
type OwnCare struct {
	BreederM float64 `json:"breeder_m,omitempty" minimum:"0" maximum:"4" doc:"from which length it is put back; left out: the book's"`
	HotC     float64 `json:"hot_c,omitempty" minimum:"0" maximum:"40" doc:"above which water a fight may kill it; left out: the book's"`
	Handling string  `json:"handling,omitempty" maxLength:"400" doc:"left out: the book's"`
}

// CareOut says how a fish is treated.
type CareOut struct {
	Name     string      `json:"name"`
	Steps    []StepOut   `json:"steps" nullable:"false" doc:"going back"`
	Keeping  []string    `json:"keeping" nullable:"false" doc:"being kept"`
	FirstAid []InjuryOut `json:"first_aid" nullable:"false" doc:"usual public guidance; medical help goes before it"`
	Own      OwnCare     `json:"own"`
	Book     OwnCare     `json:"book"`
	FilletKg float64     `json:"fillet_kg,omitempty" doc:"of its weight, from memory"`
	People   int         `json:"people,omitempty" doc:"that feeds"`
	UseBy    string      `json:"use_by" format:"date" doc:"frozen today"`
	Oily     bool        `json:"oily"`
}

// Care says how a fish is treated that goes back, and one that is kept.
func Care(around Around, b *CareBody) (*CareOut, error) {
	book, err := around.Book(nil)
	if err != nil {
		return nil, err
	}
	target, err := book.Target(b.Target)
	if err != nil {
		return nil, Wrong("body.target", err)
	}
	own, err := around.OwnCare(target.ID)
	if err != nil {
		return nil, err
	}
	f := &care.Fish{Target: target, Own: own, LengthM: b.LengthM, DepthM: b.DepthM, Time: when(around, b.Time), WaterC: math.NaN(),
		NestingMale: b.NestingMale, Predators: b.Predators}
	if b.SpotID != nil {
		sp, err := around.Spot(*b.SpotID, f.Time)
		if err != nil {
			return nil, err
		}
		m, _, err := sp.at(f.Time, 0, 0)
		if err != nil {
			return nil, err
		}
		f.Place, f.South, f.Time = sp.Place, sp.Lat < 0, clocked(f.Time, sp.Clock)
		if r := m.Believed[conditions.WaterTemp]; r.Origin != conditions.Assumed {
			f.WaterC = r.Value
		}
	}
	if b.WaterTempC != nil {
		f.WaterC = *b.WaterTempC
	}
	entry := care.Of(target.ID)
	hot := entry.HotC
	if hot == 0 {
		hot = target.Feeds.To
	}
	out := &CareOut{Name: target.Name, Steps: []StepOut{}, Keeping: care.Keeping(), FirstAid: []InjuryOut{}, Own: OwnCare(own),
		Book: OwnCare{entry.BreederM, hot, around.Units().Fill(target.Handling)}, Oily: entry.Oily,
		UseBy: care.UseBy(f.Time, entry.Oily).Format(time.DateOnly)}
	for _, s := range care.Release(f, around.Units()) {
		out.Steps = append(out.Steps, StepOut(s))
	}
	for _, i := range care.FirstAid() {
		out.FirstAid = append(out.FirstAid, InjuryOut(i))
	}
	if b.MassKg > 0 {
		out.FilletKg, out.People = care.Portions(b.MassKg)
	}
	return out, nil
}

// IceBody is how much fish is to be kept cold.
type IceBody struct {
	FishKg     float64 `json:"fish_kg" exclusiveMinimum:"0" maximum:"1000"`
	Hours      float64 `json:"hours" minimum:"0" maximum:"240"`
	AirTempC   float64 `json:"air_temp_c" minimum:"-30" maximum:"60"`
	WaterTempC float64 `json:"water_temp_c" minimum:"-2" maximum:"40"`
	BoxL       float64 `json:"box_l,omitempty" minimum:"0" maximum:"2000" doc:"left out: one that holds it"`
	Oily       bool    `json:"oily,omitempty"`
}

// IceOut is what it takes.
type IceOut struct {
	IceKg        float64 `json:"ice_kg" doc:"never less than the fish weighs"`
	SeaWaterL    float64 `json:"sea_water_l" doc:"to make it a slurry, half and half"`
	CoolKg       float64 `json:"cool_kg" doc:"of the ice, melted to cool the fish"`
	WaterKg      float64 `json:"water_kg" doc:"melted to cool the sea water"`
	LeakKg       float64 `json:"leak_kg" doc:"melted by the heat that leaks in"`
	DaysOnIce    float64 `json:"days_on_ice"`
	FreezerMonth int     `json:"freezer_months"`
}

// ReckonIce for fish.
func ReckonIce(b *IceBody) (*IceOut, error) {
	i, err := care.Ice{FishKg: b.FishKg, Hours: b.Hours, AirC: b.AirTempC, WaterC: b.WaterTempC, BoxL: b.BoxL, Oily: b.Oily}.Reckon()
	if err != nil {
		return nil, Wrong("body", err)
	}
	return &IceOut{i.TotalKg, i.SeaWaterL, i.CoolKg, i.WaterKg, i.LeakKg, i.Days, i.FreezerMonths}, nil
}

// LiveBaitBody is bait in a tank or a bucket.
type LiveBaitBody struct {
	Count       int      `json:"count" minimum:"1" maximum:"5000"`
	EachKg      float64  `json:"each_kg" exclusiveMinimum:"0" maximum:"5"`
	WaterTempC  float64  `json:"water_temp_c" minimum:"0" maximum:"40"`
	SalinityPSU *float64 `json:"salinity_psu,omitempty" minimum:"0" maximum:"45" doc:"left out: 30"`
	VolumeL     float64  `json:"volume_l" exclusiveMinimum:"0" maximum:"10000"`
	Hours       float64  `json:"hours" minimum:"0" maximum:"240"`
	AirLMin     float64  `json:"air_l_min,omitempty" minimum:"0" maximum:"1000" doc:"of an aerator"`
	ChangeLMin  float64  `json:"change_l_min,omitempty" minimum:"0" maximum:"1000" doc:"of fresh water pumped through"`
}

// LiveBaitOut is how long it lives there.
type LiveBaitOut struct {
	Enough         bool    `json:"enough" doc:"for the hours asked"`
	StillMin       float64 `json:"still_min" doc:"with nothing brought in"`
	ChangeEveryMin float64 `json:"change_every_min,omitempty" doc:"how often half the water is changed; left out: not needed"`
	MostCount      int     `json:"most_count,omitempty" doc:"that live in it for the hours"`
	AirNeededLMin  float64 `json:"air_needed_l_min" doc:"of air that would do"`
	NeedMgH        float64 `json:"need_mg_h" doc:"oxygen breathed"`
	SupplyMgH      float64 `json:"supply_mg_h" doc:"oxygen brought in"`
	FullMgL        float64 `json:"full_mg_l" doc:"the water holds"`
	PoorMgL        float64 `json:"poor_mg_l" doc:"under which bait begins to die"`
}

// usualSalinity of coastal water.
const usualSalinity = 30

// ReckonLiveBait in a tank or a bucket.
func ReckonLiveBait(b *LiveBaitBody) (*LiveBaitOut, error) {
	salinity := float64(usualSalinity)
	if b.SalinityPSU != nil {
		salinity = *b.SalinityPSU
	}
	l, err := care.LiveBait{Count: b.Count, EachKg: b.EachKg, WaterC: b.WaterTempC, SalinityPSU: salinity, VolumeL: b.VolumeL,
		Hours:   b.Hours,
		AirLMin: b.AirLMin, ChangeLMin: b.ChangeLMin}.Reckon()
	if err != nil {
		return nil, Wrong("body", err)
	}
	return &LiveBaitOut{l.Enough, l.Still.Minutes(), l.ChangeEvery.Minutes(), l.MostFor, l.AirNeeded, l.NeedMgH, l.SupplyMgH, l.FullMgL,
		l.PoorMgL}, nil
}
