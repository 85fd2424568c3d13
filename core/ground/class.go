package ground

// Class of a depth, as a body or a boat measures it.
type Class struct {
	Name string
	// FromM is the least depth of the class; the next class ends it.
	FromM float64
}

// Depths a person tells apart, metres (common practice, no source).
const (
	kneeFromM  = 0.15
	thighFromM = 0.45
	boatFromM  = 1.5
)

// Classes of depth from dry ground downwards: to the ankle, the knee, the thigh,
// more than one should wade, and water for any boat that fishes inshore.
var Classes = []Class{{"dry", -maxElevation}, {"ankle", 0}, {"knee", kneeFromM}, {"thigh", thighFromM}, {"over wading", thighM},
	{"boat", boatFromM}}

// ClassOf a depth in metres; negative is dry.
func ClassOf(depthM float64) Class {
	for i := len(Classes) - 1; i > 0; i-- {
		if depthM >= Classes[i].FromM {
			return Classes[i]
		}
	}
	return Classes[0]
}
