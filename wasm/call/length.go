package call

import "greypebble/core/photo"

// lengthAsked is a fish and a thing of known length beside it, touched at their ends on a photo.
type lengthAsked struct {
	Fish  photo.Line `json:"fish"`
	Known photo.Line `json:"known"`
	// KnownM is how long that is; 0: a bank card.
	KnownM float64 `json:"known_m"`
	// TouchPX is by how much a touch is off on the photo, pixels.
	TouchPX float64 `json:"touch_px"`
}

func length(in lengthAsked) (photo.Length, error) {
	if in.KnownM == 0 {
		in.KnownM = photo.Card
	}
	return photo.Measure(in.Fish, in.Known, in.KnownM, in.TouchPX)
}
