package wire

// PresentationBody is what is on the line, as far as it was said.
type PresentationBody struct {
	Approach   string  `json:"approach,omitempty" enum:"live bait,cut bait,lure"`
	OfferingID string  `json:"offering_id,omitempty" maxLength:"80"`
	Offering   string  `json:"offering,omitempty" maxLength:"80"`
	RigID      string  `json:"rig_id,omitempty" maxLength:"80"`
	Style      string  `json:"style,omitempty" maxLength:"40"`
	Finish     string  `json:"finish,omitempty" maxLength:"40"`
	SizeM      float64 `json:"size_m,omitempty" minimum:"0" maximum:"1"`
	WeightKg   float64 `json:"weight_kg,omitempty" minimum:"0" maximum:"5"`
	DepthM     float64 `json:"depth_m,omitempty" minimum:"0" maximum:"400"`
	DistanceM  float64 `json:"distance_m,omitempty" minimum:"0" maximum:"400"`
}
