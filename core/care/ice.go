package care

import (
	"errors"
	"math"
	"time"
)

// Ice asked for: how much fish, for how long, in what air and out of what water.
type Ice struct {
	FishKg, Hours, AirC, WaterC float64
	// BoxL is the box's volume, litres; 0: one that holds it.
	BoxL float64
	// Oily fish keep less long.
	Oily bool
}

// Iced is what it takes.
type Iced struct {
	// CoolKg cools the fish, WaterKg the sea water of the slurry, LeakKg is melted by the heat that leaks in.
	CoolKg, WaterKg, LeakKg float64
	// TotalKg of ice, never less than the fish weighs, and SeaWaterL to make it a slurry.
	TotalKg, SeaWaterL float64
	// Days it may lie well iced and drained.
	Days float64
	// FreezerMonths it keeps at −18 °C.
	FreezerMonths int
}

// Constants, from memory but for the latent heat, which is physics.
const (
	latent    = 334.0 // kJ a kg of ice that melts
	fishHeat  = 3.6   // kJ a kg and kelvin of lean fish
	seaHeat   = 4.0   // of sea water
	leakPerL  = 0.008 // W a kelvin and litre of an ordinary box, lid shut
	leakLeast = 0.25  // W a kelvin of the smallest
	packing   = 2.5   // litres of box a kilogram of fish in slurry
	// shelf of fish on ice in days, in the freezer in months (usual public guidance, from memory).
	leanDays, oilyDays     = 7, 4
	leanMonths, oilyMonths = 6, 3
)

// Reckon the ice. An ordinary slurry is as much ice as sea water by weight.
func (i Ice) Reckon() (Iced, error) {
	switch {
	case !(i.FishKg > 0 && i.FishKg <= 1000):
		return Iced{}, errors.New("care: expected 0 to 1000 kg of fish")
	case !(i.Hours >= 0 && i.Hours <= 240):
		return Iced{}, errors.New("care: expected 0 to 240 hours")
	case !(i.AirC >= -30 && i.AirC <= 60) || !(i.WaterC >= -2 && i.WaterC <= 40):
		return Iced{}, errors.New("care: expected air of −30 to 60 °C and water of −2 to 40 °C")
	}
	warm := math.Max(i.WaterC, 0)
	out := Iced{CoolKg: i.FishKg * fishHeat * warm / latent, Days: leanDays, FreezerMonths: leanMonths}
	if i.Oily {
		out.Days, out.FreezerMonths = oilyDays, oilyMonths
	}
	box := i.BoxL
	if box == 0 {
		box = i.FishKg * packing
	}
	leak := math.Max(leakPerL*box, leakLeast) * math.Max(i.AirC, 0) // W
	out.LeakKg = leak * i.Hours * time.Hour.Seconds() / 1000 / latent
	// The water of the slurry is as heavy as its ice, and is cooled by it too.
	share := seaHeat * warm / latent
	need := out.CoolKg + out.LeakKg
	out.TotalKg = math.Max(need/(1-share), i.FishKg)
	out.WaterKg = out.TotalKg * share
	out.SeaWaterL = out.TotalKg
	return out, nil
}

// Portions of a fish: how much of its weight is fillet, and how many people that feeds. From memory: two fifths of a
// round fish is fillet, and a portion is 180 g.
func Portions(massKg float64) (filletKg float64, people int) {
	filletKg = massKg * 0.4
	return filletKg, int(math.Floor(filletKg / 0.18))
}

// UseBy is the day until which frozen fish or bait keeps.
func UseBy(frozen time.Time, oily bool) time.Time {
	if oily {
		return frozen.AddDate(0, oilyMonths, 0)
	}
	return frozen.AddDate(0, leanMonths, 0)
}
