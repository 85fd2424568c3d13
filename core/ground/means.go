package ground

import (
	"fmt"
	"slices"
	"time"
)

// Means is what one has to get about with, whatever a spot is usually reached by.
type Means string

// Means of getting about.
const (
	AsEach  Means = ""      // by whichever each spot is usually reached
	OnLegs  Means = "legs"  // walks, and wades where the way is waded
	ByKayak Means = "kayak" // carried to the water
	ByBoat  Means = "boat"
	ByCar   Means = "car" // along the shore by road, then on legs
)

// AllMeans there are, but for [AsEach].
var AllMeans = []Means{OnLegs, ByKayak, ByBoat, ByCar}

// manners a means allows, those that reach furthest first.
func (m Means) manners() []Manner {
	switch m {
	case OnLegs, ByCar:
		return []Manner{Wading, OnFoot}
	case ByKayak:
		return []Manner{Kayak}
	case ByBoat:
		return []Manner{Boat}
	}
	return nil
}

// Validate refuses a word that is no means.
func (m Means) Validate() error {
	if m != AsEach && !slices.Contains(AllMeans, m) {
		return fmt.Errorf("ground: unknown means of getting about %q; known are legs, kayak, boat, car", string(m))
	}
	return nil
}

// ByMeans is the access as one with these means uses it; false where they do not lead there.
func (a Access) ByMeans(m Means) (Access, bool) {
	if m == AsEach {
		return a, true
	}
	for _, manner := range m.manners() {
		if by, ok := a.By(manner); ok {
			return by, true
		}
	}
	return a, false
}

// Of a drive along a shore: roads are about 1.3 times as long as the bee line (Ballou, Rahardja
// and Sakai 2002, "Selected country circuity factors for road travel distance estimation",
// Transportation Research A 36: 1.20 in the United States, 1.40 in England; the value between
// them); speed and the minutes to park and get out are common practice, no source.
const (
	roadsAre = 1.3
	driveMS  = 45 / 3.6
	parks    = 5 * time.Minute
)

// Drive is how long the way by road takes, guessed from the bee line: no road is known.
func Drive(from, to LatLon) time.Duration {
	return parks + time.Duration(roadsAre*Distance(from, to)/driveMS*float64(time.Second))
}
