package care

import (
	"errors"
	"math"
	"time"
)

// LiveBait in a tank or a bucket.
type LiveBait struct {
	Count int
	// EachKg of one of them.
	EachKg float64
	// WaterC and SalinityPSU of the water, VolumeL of it.
	WaterC, SalinityPSU, VolumeL float64
	Hours                        float64
	// AirLMin of an aerator, ChangeL a minute of fresh water pumped through; 0: none.
	AirLMin, ChangeLMin float64
}

// Lasting is how long bait lives in it.
type Lasting struct {
	// NeedMgH is what it breathes an hour, SupplyMgH what aerator and pump bring.
	NeedMgH, SupplyMgH float64
	// FullMgL of oxygen the water holds, PoorMgL at which bait begins to die.
	FullMgL, PoorMgL float64
	// Still is how long it lasts with nothing brought in, ChangeEvery how often half the water is changed for good;
	// zero: not needed.
	Still, ChangeEvery time.Duration
	// Enough for the hours asked; MostFor is how many live in it so long.
	Enough  bool
	MostFor int
	// AirNeeded is how much air a minute would do, litres.
	AirNeeded float64
}

// Numbers from memory but where a source is named.
const (
	poor = 4.0 // mg/l, under which bait fish and shrimp begin to die
	// excited bait breathes twice what it does at rest.
	excited = 2.0
	// share of the oxygen of bubbles that a bucket's depth takes up, and oxygen in a litre of air, mg.
	takenUp, inAir = 0.01, 275.0
	perMmol        = 32.0 // mg of oxygen
	// restMass is what the published rate is of, kg; restScale how it goes with mass.
	restMass, restScale = 0.05, 0.79
)

// Saturation of oxygen in water of a temperature and salinity under one atmosphere, mg/l: R. F. Weiss, "The solubility
// of nitrogen, oxygen and argon in water and seawater", Deep-Sea Research 17 (1970), equation 4; coefficients from
// memory, checked against published values.
func Saturation(tempC, salinity float64) float64 {
	t := (tempC + 273.15) / 100
	ml := math.Exp(-173.4292 + 249.6339/t + 143.3483*math.Log(t) - 21.8492*t + salinity*(-0.033096+0.014259*t-0.0017*t*t))
	const mgPerML = 1.42905
	return ml * mgPerML
}

// AtRest is what a fish breathes at rest, mg an hour: A. Clarke and N. M. Johnston, "Scaling of metabolic rate with body
// mass and temperature in teleost fish", J. Animal Ecology 68 (1999), from memory.
func AtRest(kg, tempC float64) float64 {
	mmol := math.Exp(15.7 - 5020/(tempC+273.15))
	return mmol * perMmol * math.Pow(kg/restMass, restScale)
}

// Reckon how long bait lives.
func (b LiveBait) Reckon() (Lasting, error) {
	switch {
	case b.Count < 1 || b.Count > 5000:
		return Lasting{}, errors.New("care: expected 1 to 5000 baits")
	case !(b.EachKg > 0 && b.EachKg <= 5):
		return Lasting{}, errors.New("care: expected a bait of 0 to 5 kg")
	case !(b.WaterC >= 0 && b.WaterC <= 40) || !(b.SalinityPSU >= 0 && b.SalinityPSU <= 45):
		return Lasting{}, errors.New("care: expected water of 0 to 40 °C and a salinity of 0 to 45")
	case !(b.VolumeL > 0 && b.VolumeL <= 10000):
		return Lasting{}, errors.New("care: expected 0 to 10000 litres")
	case !(b.Hours >= 0 && b.Hours <= 240) || !(b.AirLMin >= 0 && b.AirLMin <= 1000) || !(b.ChangeLMin >= 0 && b.ChangeLMin <= 1000):
		return Lasting{}, errors.New("care: expected 0 to 240 hours and 0 to 1000 litres a minute")
	}
	one := AtRest(b.EachKg, b.WaterC) * excited
	out := Lasting{FullMgL: Saturation(b.WaterC, b.SalinityPSU), PoorMgL: poor, NeedMgH: one * float64(b.Count)}
	spare := math.Max(out.FullMgL-poor, 0)
	out.SupplyMgH = b.AirLMin*60*inAir*takenUp + b.ChangeLMin*60*spare
	store := spare * b.VolumeL
	short := out.NeedMgH - out.SupplyMgH
	out.Still = hours(store / out.NeedMgH)
	if short > 0 {
		// Half the water holds half the store.
		out.ChangeEvery = hours(store / 2 / short)
	}
	out.Enough = short*b.Hours <= store
	if b.Hours > 0 {
		out.MostFor = int((store/b.Hours + out.SupplyMgH) / one)
		out.AirNeeded = math.Max(out.NeedMgH-store/b.Hours-b.ChangeLMin*60*spare, 0) / (60 * inAir * takenUp)
	}
	return out, nil
}

// hours as a duration, at most ten days.
func hours(h float64) time.Duration { return time.Duration(math.Min(h, 240) * float64(time.Hour)) }
